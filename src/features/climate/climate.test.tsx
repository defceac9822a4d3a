// @vitest-environment happy-dom
import { fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { catalogue } from '@/catalogue';
import { factorsOf, forecast, marksOf } from '@/core/climate';
import { GLANCE, judgeDesign, poursFor } from '@/core/verdict';
import type { EditCall } from '@/core/edits';
import { eventually, made, open } from '../testing/open';
import { CalibrationTab } from './CalibrationTab';
import { ramp } from './FieldLayer';
import { EquipmentTab } from './EquipmentTab';
import { ForecastTab } from './ForecastTab';
import { MistTab } from './MistTab';
import { RoomTab } from './RoomTab';
import { SeasonsTab } from './SeasonsTab';
import { clock, readClock, timerWord } from './words';

const GECKO = 'goniurosaurus-hainanensis';
const ANOLE = 'anolis-carolinensis';
const FIT: readonly EditCall[] = [
  { edit: 'proposeScape', change: {} },
  { edit: 'proposeClimate', change: {} },
];
const enter = (field: HTMLElement, text: string): void => {
  fireEvent.focus(field);
  fireEvent.change(field, { target: { value: text } });
  fireEvent.keyDown(field, { key: 'Enter' });
  fireEvent.blur(field);
};
const box = (name: string | RegExp) => screen.getByRole('textbox', { name });
const choose = async (name: string | RegExp, option: string | RegExp): Promise<void> => {
  fireEvent.mouseDown(screen.getByRole('combobox', { name }));
  fireEvent.click(within(await screen.findByRole('listbox')).getByRole('option', { name: option }));
};

describe('words', () => {
  it('clock times as people write them; nonsense is none', () => {
    expect(['7:30', '7.30', '0730', '19', '24:00'].map(readClock)).toEqual([450, 450, 450, 1140, 1440]);
    expect(['', 'noon', '25:00', '7:75', '7:3'].map(readClock)).toEqual([null, null, null, null, null]);
    expect([0, 450, 1439].map(clock)).toEqual(['00:00', '07:30', '23:59']);
  });
  it('timers in a few words', () => {
    expect(timerWord({ by: 'night' })).toBe('at night');
    expect(timerWord({ by: 'clock', spans: [{ from: 480, to: 600 }] })).toBe('08:00–10:00');
    expect(timerWord({ by: 'clock', spans: [] })).toBe('with the mist');
  });
  it('a ramp begins and ends with its own colours', () => {
    const colours = ramp(['#000000', '#ffffff'], 3);
    expect(colours).toEqual(['rgb(0 0 0)', 'rgb(128 128 128)', 'rgb(255 255 255)']);
  });
});

describe('Lamps', () => {
  it('one is installed, moved, timed, held and taken out', async () => {
    const picked = vi.fn();
    const { stored } = await open(
      <EquipmentTab selected="device-1" onSelect={picked} onSeasons={() => undefined} forecast={null} />,
      made(GECKO, { edit: 'addDevice', change: { kind: 'halogen-flood' } }),
    );
    const detail = within(screen.getByRole('region', { name: 'Halogen flood' }));
    enter(box('Power, W'), '75');
    await eventually(async () => expect((await stored()).climate.devices[0]!.power).toBe(75));
    enter(box('Over the floor'), '70 cm');
    await eventually(async () => expect((await stored()).climate.devices[0]!.at.z).toBeCloseTo(0.7, 9));
    await choose('It is on', 'by the clock');
    await eventually(async () =>
      expect((await stored()).climate.devices[0]!.timer).toEqual({
        by: 'clock',
        spans: [{ from: 480, to: 1200 }],
      }),
    );
    enter(box('From (1)'), '9:15');
    await eventually(async () =>
      expect((await stored()).climate.devices[0]!.timer).toMatchObject({ spans: [{ from: 555, to: 1200 }] }),
    );
    await choose('Thermostat', 'none');
    await eventually(async () => expect((await stored()).climate.devices[0]!.thermostat).toBeNull());
    expect(detail.getByText(/licensed electrician, to the local code/)).toBeDefined();
    expect(detail.getByText(/Basking spot/)).toBeDefined();
    expect(detail.getByText(/it takes \d+ W at this distance, or/)).toBeDefined();

    const add = screen.getByRole('combobox', { name: 'Equipment to add' });
    fireEvent.change(add, { target: { value: 'heat mat' } });
    fireEvent.click(await screen.findByRole('option', { name: /^Heat mat/ }));
    fireEvent.click(screen.getByRole('button', { name: 'Add' }));
    await eventually(async () =>
      expect((await stored()).climate.devices.map((it) => it.kind)).toEqual(['halogen-flood', 'heat-mat']),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Take out Heat mat' }));
    await eventually(async () => expect((await stored()).climate.devices).toHaveLength(1));
  });

  it('UV: a range, the zone, what age leaves, and a meter reading that holds it', async () => {
    const design = made(ANOLE, ...FIT);
    const tube = design.climate.devices.find((it) => it.kind.startsWith('uv-'))!;
    const { stored } = await open(
      <EquipmentTab
        selected={tube.id}
        onSelect={() => undefined}
        onSeasons={() => undefined}
        forecast={null}
      />,
      design,
    );
    expect(screen.getByText(/until a meter reading narrows it/)).toBeDefined();
    expect(screen.getByText(/zone \d: it meets .* at most \(published\)/)).toBeDefined();
    expect(screen.getByText(/Say when it was first lit/)).toBeDefined();
    fireEvent.change(screen.getByLabelText('First lit'), { target: { value: '2025-01-10' } });
    await screen.findByText(/It has burned some \d+ h: about \d+ % is left/);
    enter(box(/^Meter reads/), '1.4');
    fireEvent.click(screen.getByRole('button', { name: 'Hold to it' }));
    await eventually(async () => expect((await stored()).climate.meter).toMatchObject({ index: 1.4 }));
    expect(screen.getByText(/held by your meter reading/)).toBeDefined();
  });
});

describe('Seasons', () => {
  it('a part of the year is added, set otherwise thing by thing, kept clear of the others, and taken out', async () => {
    const design = made(GECKO, ...FIT);
    const heater = design.climate.devices.find((it) => it.thermostat)!;
    const { stored } = await open(<SeasonsTab />, design);
    expect(screen.getByText('One setting holds all year.')).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: 'Add a part of the year' }));
    await screen.findByRole('region', { name: 'Summer' });
    expect((await stored()).climate.seasons).toMatchObject([{ name: 'Summer', from: 6, until: 9 }]);
    fireEvent.click(screen.getByRole('checkbox', { name: 'Cover of the top' }));
    await eventually(async () =>
      expect((await stored()).climate.seasons[0]!.topCover).toBe(design.enclosure.topCover),
    );
    enter(box('Covered'), '20 %');
    await eventually(async () => expect((await stored()).climate.seasons[0]!.topCover).toBeCloseTo(0.2, 9));
    fireEvent.click(screen.getByRole('checkbox', { name: 'Mist' }));
    await screen.findByRole('list', { name: 'Mistings in Summer' });
    fireEvent.click(screen.getAllByRole('button', { name: /^Leave out misting/ })[0]!);
    await eventually(async () =>
      expect((await stored()).climate.seasons[0]!.mist!.times).toHaveLength(
        design.climate.mist.times.length - 1,
      ),
    );
    expect((await stored()).climate.mist.times).toEqual(design.climate.mist.times);
    fireEvent.click(screen.getByRole('checkbox', { name: heater.name }));
    const row = within(await screen.findByRole('group', { name: heater.name }));
    await eventually(() => expect(row.getByRole('textbox', { name: 'By day' })).toBeDefined());
    enter(row.getByRole('textbox', { name: 'By day' }), '19.5 °C');
    await eventually(async () =>
      expect((await stored()).climate.seasons[0]!.devices).toMatchObject([
        { device: heater.id, thermostat: { day: 19.5, night: heater.thermostat!.night } },
      ]),
    );
    await choose('It is on', 'never');
    await eventually(async () =>
      expect((await stored()).climate.seasons[0]!.devices[0]!.timer).toEqual({ by: 'clock', spans: [] }),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Add a part of the year' }));
    await screen.findByRole('region', { name: 'Part 2' });
    await eventually(async () =>
      expect((await stored()).climate.seasons[1]).toMatchObject({ from: 1, until: 1 }),
    );
    fireEvent.click(screen.getAllByRole('button', { name: 'Take it out' })[0]!);
    await eventually(async () =>
      expect((await stored()).climate.seasons.map((it) => it.name)).toEqual(['Part 2']),
    );
  });
});

describe('settings by season', () => {
  it('where a part of the year has its own, Lamps and Mist say so and lead there', async () => {
    const onSeasons = vi.fn();
    const part = { id: 'summer', name: 'Summer', from: 6, until: 9, topCover: 0.2, mist: null, devices: [] };
    const design = made(GECKO, ...FIT, { edit: 'setSeason', change: part });
    await open(<MistTab onSeasons={onSeasons} forecast={null} verdict={{ at: 'unasked' }} />, design);
    expect(screen.getByRole('note').textContent).toMatch(
      /^These are the settings of the rest of the year\. Summer \(June to September\) has its own/,
    );
    fireEvent.click(screen.getByRole('button', { name: 'Open Seasons' }));
    expect(onSeasons).toHaveBeenCalledOnce();
  });
});

describe('Water for the soil', () => {
  it('by measure, each line by end, depth and rhythm; none, and as it needs again', async () => {
    const { stored } = await open(
      <MistTab onSeasons={() => undefined} forecast={null} verdict={{ at: 'unasked' }} />,
      made('eublepharis-macularius'),
    );
    const told = async () => (await stored()).climate.watering;
    expect(await told()).toBeNull();
    await choose('From the jug', 'by measure');
    await eventually(async () =>
      expect(await told()).toEqual([{ end: 'warm', into: 'foot', amount: 0.0002, everyDays: 7 }]),
    );
    enter(box('Watering 1'), '350 mL');
    await eventually(async () => expect((await told())![0]!.amount).toBeCloseTo(0.00035, 9));
    enter(box('Days apart'), '14');
    await eventually(async () => expect((await told())![0]!.everyDays).toBe(14));
    fireEvent.click(screen.getByRole('button', { name: 'Add a watering' }));
    await eventually(async () => expect((await told())![1]!.end).toBe('cool'));
    fireEvent.click(screen.getByRole('button', { name: 'Leave out watering 1' }));
    await eventually(async () => expect((await told())!.map((it) => it.end)).toEqual(['cool']));
    await choose('How', 'over the ground');
    await eventually(async () => expect((await told())![0]!.into).toBe('top'));
    await choose('From the jug', 'none');
    await eventually(async () => expect(await told()).toEqual([]));
    await choose('From the jug', 'as it needs');
    await eventually(async () => expect(await told()).toBeNull());
  });

  it('offers the plan that the verdict’s year comes to', async () => {
    const design = made('hemitheconyx-caudicinctus', ...FIT);
    const verdict = judgeDesign({ design, catalogue, playing: GLANCE, alone: true })!;
    const { stored } = await open(
      <MistTab
        onSeasons={() => undefined}
        forecast={null}
        verdict={{ at: 'known', verdict, findings: [] }}
      />,
      design,
    );
    fireEvent.click(screen.getByRole('button', { name: 'Plan it by the year' }));
    await eventually(async () =>
      expect((await stored()).climate.watering).toEqual(poursFor(verdict, design)),
    );
    expect(screen.queryByRole('button', { name: 'Plan it by the year' })).toBeNull();
  });
});

describe('Mist', () => {
  it('times, bottle, cover, vents; nonsense is told and changes nothing', async () => {
    const { stored } = await open(
      <MistTab onSeasons={() => undefined} forecast={null} verdict={{ at: 'unasked' }} />,
      made(GECKO, ...FIT),
    );
    const before = (await stored()).climate.mist.times;
    enter(box('Misting 1'), 'dawn');
    expect(screen.getByText('A time of the day, such as 7:30.')).toBeDefined();
    enter(box('Misting 1'), '6:45');
    await eventually(async () =>
      expect((await stored()).climate.mist.times[0]).toEqual({ at: 405, seconds: before[0]!.seconds }),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Another misting' }));
    await eventually(async () => expect((await stored()).climate.mist.times).toHaveLength(before.length + 1));
    fireEvent.click(screen.getByRole('button', { name: 'Leave out misting 1' }));
    await eventually(async () => expect((await stored()).climate.mist.times).toHaveLength(before.length));
    enter(box('Bottle holds'), '20 L');
    await eventually(async () => expect((await stored()).climate.mist.bottle).toBeCloseTo(0.02, 9));
    await choose('Draws on', 'the mains');
    await eventually(async () => expect((await stored()).climate.mist.bottle).toBeNull());
    fireEvent.click(screen.getByRole('button', { name: 'Vent low in the back' }));
    await eventually(async () => expect((await stored()).climate.vents).toHaveLength(1));
    enter(box('Area of vent 1'), '60');
    await eventually(async () => expect((await stored()).climate.vents[0]!.area).toBeCloseTo(0.006, 9));
    await choose('Gauze of the top', 'Fine mesh');
    await eventually(async () => expect((await stored()).climate.topGauze).toBe('fine-mesh'));
    expect(screen.getByRole('img', { name: /of the ground is wetted/ })).toBeDefined();
  });
});

describe('Room', () => {
  it('a preset, the window with its caution, hours by latitude, light at night', async () => {
    const { stored } = await open(<RoomTab />, made(GECKO));
    fireEvent.click(screen.getByRole('radio', { name: /^Cellar/ }));
    await eventually(async () => expect((await stored()).climate.room.preset).toBe('cellar'));
    expect(within(screen.getByRole('table', { name: 'Seasons of the room' })).getByText(/^75/)).toBeDefined();
    await choose('Sun through a window', 'looking south');
    await eventually(async () =>
      expect((await stored()).climate.room).toMatchObject({ window: 180, sunlit: 0.3 }),
    );
    expect(screen.getByText(/never stand it in direct sun/)).toBeDefined();
    await choose('Hours of light', 'by the animal’s latitude');
    enter(box('Latitude it comes from, °'), '45');
    await eventually(async () =>
      expect((await stored()).climate.day).toMatchObject({ by: 'latitude', latitude: 45 }),
    );
    expect(
      within(screen.getByRole('table', { name: 'Timer plan' })).getByText('45° north', { exact: false }),
    ).toBeDefined();
    fireEvent.click(screen.getByRole('radio', { name: /^Red/ }));
    await eventually(async () => expect((await stored()).climate.night).toBe('red'));
    fireEvent.click(screen.getByRole('checkbox', { name: 'Next to a radiator' }));
    await eventually(async () => expect((await stored()).climate.room.radiator).toBe(true));
  });
});

describe('Forecast and calibration', () => {
  it('figures agree with the answers they come from', async () => {
    const design = made(GECKO, ...FIT);
    const found = forecast(design, catalogue, { span: 'day', season: 'winter', seed: 1 });
    await open(<ForecastTab forecast={found} at={70} />, design);
    expect(
      screen.getByText(`${Math.round(found.answers.humidInside * 100)} %`, { selector: 'dd' }),
    ).toBeDefined();
    const table = within(screen.getByRole('table', { name: 'Hours in band' }));
    const cells = within(table.getByRole('row', { name: /^Humidity/ }))
      .getAllByRole('cell')
      .map((it) => it.textContent);
    expect(cells[1]).toBe(`${Math.round(found.answers.humidity.day.inside * 100)} %`);
    expect(screen.getByRole('img', { name: /^Humidity through the day/ })).toBeDefined();
  });

  it('what an enclosure is held to can be forgotten; a file that will not do is refused in place', async () => {
    const drawn = made(GECKO);
    const calibration = {
      on: '2026-11-02',
      file: 'shelf.csv',
      since: '2026-10-20',
      until: '2026-11-01',
      exchange: 1.4,
      wetness: 0.8,
      gain: 1.1,
      intervals: {
        exchange: [1.1, 1.8] as [number, number],
        wetness: [0.5, 1.2] as [number, number],
        gain: [1, 1.2] as [number, number],
      },
      left: { humidity: 0.04, temperature: 0.6 },
      marks: { ...marksOf(drawn), ground: 'other' },
    };
    const { stored } = await open(
      <CalibrationTab />,
      made(GECKO, { edit: 'setClimate', change: { calibration } }),
    );
    expect(
      screen.getByText(
        /Calibrated on .*Nov.* to shelf\.csv, .* to .*: air exchange × 1\.40 \(1\.10 to 1\.80\)/,
      ),
    ).toBeDefined();
    // Its layers were laid anew since: it is used no more until it is said that it still holds.
    expect(factorsOf(await stored())).toEqual({ exchange: 1, wetness: 1, gain: 1 });
    expect(screen.getByRole('alert').textContent).toMatch(
      /Since then its layers were changed: it is not used/,
    );
    fireEvent.click(screen.getByRole('button', { name: 'It still holds: use it' }));
    await eventually(async () =>
      expect(factorsOf(await stored())).toEqual({ exchange: 1.4, wetness: 0.8, gain: 1.1 }),
    );
    const file = screen.getByLabelText('Logger’s file, to choose');
    fireEvent.change(file, {
      target: { files: [new File(['just words'], 'notes.csv', { type: 'text/csv' })] },
    });
    await screen.findByText(/notes\.csv, line 1: at least two columns/);
    fireEvent.click(screen.getByRole('button', { name: 'Forget it' }));
    await eventually(async () => expect((await stored()).climate.calibration).toBeNull());
  });
});
