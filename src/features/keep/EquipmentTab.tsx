'use client';

import { localDay } from '@/core/time';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { lampOfRule, meteredLamp } from '@/core/care';
import { inSeason, type EquipmentRecord } from '@/core/records';
import { useEditing, useEquipment, useLog, useOpenDesign, useRecordBook, useStore } from '@/store';
import { useToday } from '@/ui/useToday';
import { dayWords } from '@/ui/days';
import { LineField } from '@/ui/fields/PlainFields';
import { Message } from '@/ui/Message';
import { TableCard } from '@/ui/TableCard';
import { DayField } from './animals/AnimalCard';
import { DetailCard } from './DetailCard';
import { dueIn } from '@/ui/due';

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** Lamps, pumps, probes: since when, guaranteed till when, what failed, what lies in reserve. */
export function EquipmentTab() {
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const list = useEquipment(design.id);
  const log = useLog(design.id, 'all');
  const book = useRecordBook();
  const [picked, setPicked] = useState<string | null>(null);
  const today = useToday();
  if (!list || !log) return <Message title="Fetching the equipment" role="status" />;
  const month = Number(today.slice(5, 7));
  const listed = new Set(list.map((it) => it.device));
  const drawn = design.climate.devices.filter((it) => !listed.has(it.id));
  const add = (name: string, device: string | null, installed: string | null): Promise<void> => {
    const id = crypto.randomUUID();
    return book
      .saveEquipment({
        id,
        changed: 0,
        gone: false,
        design: design.id,
        name: name.slice(0, 80),
        device,
        installed,
        warranty: null,
        failed: null,
        spare: false,
        months: [],
        note: '',
      })
      .then(() => setPicked(device === null ? id : null));
  };
  const metered = meteredLamp(design, log, catalogue, localDay);
  const lamp = dueIn(design, log, today, catalogue).find((it) => lampOfRule(it.rule.id) !== null);
  const chosen = list.find((it) => it.id === picked);
  // A lamp that is drawn counts from the day its design says: there is one such day.
  const sinceOf = ({ device, installed }: EquipmentRecord): string | null =>
    design.climate.devices.find((it) => it.id === device)?.since ?? installed;
  const stateOf = (it: EquipmentRecord): string =>
    it.failed !== null
      ? `failed ${dayWords(it.failed)}`
      : it.spare
        ? 'in reserve'
        : inSeason(it, month)
          ? 'in use'
          : 'put by for the season';
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2 }}>
      {metered && lamp && (
        <Typography>
          By the meter the UV lamp is good until {dayWords(lamp.day)}: a UV index of {metered.needed} is
          needed at the animal’s back.
        </Typography>
      )}
      {list.length > 0 && (
        <TableCard label="Equipment">
          <thead>
            <tr>
              <th scope="col">What</th>
              <th scope="col">In since</th>
              <th scope="col">Guaranteed to</th>
              <th scope="col">Now</th>
            </tr>
          </thead>
          <tbody>
            {list.map((it) => (
              <tr key={it.id} data-equipment={it.name} data-selected={it.id === picked}>
                <td>
                  <Button
                    onClick={() => setPicked(it.id)}
                    sx={{ p: 0, minWidth: 0, color: 'earth.ink', textAlign: 'left' }}
                  >
                    {it.name}
                  </Button>
                </td>
                <td>{sinceOf(it) ? dayWords(sinceOf(it) ?? '') : '–'}</td>
                <td>
                  {it.warranty ? dayWords(it.warranty) : '–'}
                  {it.warranty && it.failed && it.failed <= it.warranty ? ' · claim it' : ''}
                </td>
                <td>{stateOf(it)}</td>
              </tr>
            ))}
          </tbody>
        </TableCard>
      )}
      {chosen && (
        <EquipmentCard
          key={chosen.id}
          record={chosen}
          since={sinceOf(chosen)}
          today={today}
          onClose={() => setPicked(null)}
        />
      )}
      {list.length === 0 && drawn.length === 0 && (
        <Message title="No equipment is written down">
          What has a plug here, since when, and what lies in reserve.
        </Message>
      )}
      {list.length === 0 && drawn.length > 0 && (
        <Typography sx={{ color: 'earth.quiet', maxWidth: 620 }}>
          Nothing is written down of what is installed here: since when it runs, how long its warranty lasts,
          what has failed and what lies in reserve.
        </Typography>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button variant="outlined" onClick={() => void add('Something with a plug', null, today)}>
          Write a thing down
        </Button>
        {drawn.length > 0 && (
          <Button onClick={() => void Promise.all(drawn.map((it) => add(it.name, it.id, it.since)))}>
            Take over the {drawn.length} installed in Climate
          </Button>
        )}
      </Box>
    </Box>
  );
}

function EquipmentCard({
  record,
  since,
  today,
  onClose,
}: {
  readonly record: EquipmentRecord;
  readonly since: string | null;
  readonly today: string;
  readonly onClose: () => void;
}) {
  const book = useRecordBook();
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const change = (part: Partial<EquipmentRecord>): void => void book.changeEquipment(record.id, part);
  return (
    <DetailCard
      title={record.name}
      onClose={onClose}
      strike={{
        label: 'Remove',
        said: `“${record.name}” was removed.`,
        away: () => book.changeEquipment(record.id, { gone: true }),
        back: () => book.changeEquipment(record.id, { gone: false }),
      }}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, alignItems: 'center' }}>
        <LineField
          key={record.name}
          label="What"
          value={record.name}
          onCommit={(name) => change({ name: name.slice(0, 80) })}
          sx={{ flex: 1, minWidth: 180 }}
        />
        <DayField
          label="In since"
          value={since}
          onCommit={(installed) => {
            change({ installed });
            const { device } = record;
            if (device !== null && design.climate.devices.some((it) => it.id === device))
              edit({ edit: 'setDevice', change: { device, change: { since: installed } } });
          }}
        />
        <DayField
          label="Guaranteed to"
          value={record.warranty}
          onCommit={(warranty) => change({ warranty })}
        />
        <DayField label="Failed" value={record.failed} onCommit={(failed) => change({ failed })} />
        <FormControlLabel
          label="In reserve"
          control={<Switch checked={record.spare} onChange={(_, spare) => change({ spare })} />}
        />
      </Box>
      <Box>
        <Typography variant="body2" sx={{ color: 'earth.quiet', mb: 0.5 }}>
          In use {record.months.length === 0 ? 'all year' : 'in these months'}
        </Typography>
        <ToggleButtonGroup
          size="small"
          aria-label="Months it is in use"
          value={record.months}
          onChange={(_, months: number[]) =>
            change({ months: months.length === 12 ? [] : [...months].sort((a, b) => a - b) })
          }
          sx={{ flexWrap: 'wrap' }}
        >
          {MONTHS.map((name, index) => (
            <ToggleButton key={name} value={index + 1}>
              {name}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      </Box>
      <LineField
        key={`n ${record.note}`}
        label="Note"
        multiline
        optional
        value={record.note}
        onCommit={(note) => change({ note })}
      />
      {record.failed === null && (
        <Box>
          <Button variant="outlined" onClick={() => change({ failed: today, spare: false })}>
            It failed today
          </Button>
        </Box>
      )}
    </DetailCard>
  );
}
