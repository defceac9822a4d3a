'use client';

import { localDay } from '@/core/time';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { roomClimate } from '@/core/brief';
import { findAnimal } from '@/core/catalogue';
import { proposeGround } from '@/core/propose';
import { Stage, type Design } from '@/core/document';
import { mass, tank, pressure } from '@/core/units';
import { loadOtherNames, useEditing, useOpenDesign, usePlacesKnown, useStore } from '@/store';
import { AnimalPicker } from '@/ui/AnimalPicker';
import { NameField } from '@/ui/fields/NameField';
import { NumberField } from '@/ui/fields/PlainFields';
import { SuggestField } from '@/ui/fields/SuggestField';
import { QuantityField } from '@/ui/fields/QuantityField';
import { FindingList } from '@/ui/FindingList';
import { RoomChoice } from '@/ui/RoomChoice';
import { SectionPane } from '@/ui/section/SectionPane';
import { TwoPanes } from '@/ui/shell/TwoPanes';
import { useReader } from '@/ui/units';
import { VerdictMark } from '@/ui/VerdictMark';
import { STAGE_WORD } from '@/ui/words';
import { useTried } from '@/workers/useTried';
import { useOpenVerdict } from '@/workers/useOpenVerdict';
import { EnclosureFields } from './EnclosureFields';
import { Envelope } from './Envelope';

/** Animal, room and enclosure: what everything else follows from. */
export function Brief() {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const { edit } = useEditing();
  const { write } = useReader();
  const animal = findAnimal(catalogue, design.brief.animal);
  const room = roomClimate(design.brief.room);
  const known = usePlacesKnown();
  const { verdict, findings } = useOpenVerdict();
  const here = useTried(findings.filter((it) => it.place.at === 'brief' || it.place.at === 'enclosure'));

  return (
    <TwoPanes
      left={<SectionPane design={design} assessment={assessment} catalogue={catalogue} startWith="front" />}
      right={
        <>
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, mb: 1.5 }}>
            <Typography variant="h1" component="h1" sx={{ flex: 1 }}>
              Brief
            </Typography>
            <Button
              variant="outlined"
              onClick={() =>
                edit({
                  edit: 'setGround',
                  change: { ground: proposeGround({ animal, enclosure: design.enclosure, room }, catalogue) },
                })
              }
            >
              Propose the ground afresh
            </Button>
          </Box>

          <NameField
            label="Name"
            fullWidth
            value={design.name}
            onCommit={(name) => edit({ edit: 'rename', change: { name } })}
            sx={{ mb: 2 }}
          />

          <Part title="Animal">
            <Box sx={{ display: 'flex', gap: 1.25 }}>
              <Box sx={{ flex: 1 }}>
                <AnimalPicker
                  catalogue={catalogue}
                  value={design.brief.animal}
                  label="Species"
                  loadNames={loadOtherNames}
                  onChange={(kind) => edit({ edit: 'setAnimal', change: { animal: kind } })}
                />
              </Box>
              <NumberField
                key={design.brief.count}
                label="How many"
                value={design.brief.count}
                min={1}
                max={500}
                onCommit={(count) => edit({ edit: 'setCount', change: { count } })}
                sx={{ width: 104 }}
              />
              <StageField
                design={design}
                onChange={(stage, since) => edit({ edit: 'setStage', change: { stage, since } })}
              />
            </Box>
            {animal && <Envelope animal={animal} />}
            <Box sx={{ mt: 1.5 }}>
              <VerdictMark state={verdict} full />
            </Box>
          </Part>

          <Part title="Room">
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, mb: 1.5 }}>
              <SuggestField
                label="Room it stands in"
                value={design.brief.place.room}
                known={known.rooms}
                most={60}
                placeholder="not told"
                onOpen={known.load}
                onCommit={(name) => edit({ edit: 'setPlace', change: { room: name } })}
                sx={{ flex: '1 1 160px' }}
              />
              <SuggestField
                label="Shelf"
                value={design.brief.place.shelf}
                known={known.shelvesIn(design.brief.place.room)}
                most={60}
                placeholder="not told"
                onOpen={known.load}
                onCommit={(shelf) => edit({ edit: 'setPlace', change: { shelf } })}
                sx={{ flex: '1 1 160px' }}
              />
            </Box>
            <RoomChoice
              value={design.brief.room.kind}
              onChange={(kind) => edit({ edit: 'setRoom', change: { kind } })}
            />
            <Box sx={{ display: 'flex', gap: 1.25, mt: 1.5 }}>
              <QuantityField
                label="Measured temperature"
                measure="temperature"
                value={design.brief.room.temperature}
                min={-20}
                max={60}
                step={0.5}
                placeholder={`${write({ kind: 'quantity', measure: 'temperature', si: room.temperature })} taken`}
                onCommit={(si) => edit({ edit: 'setRoom', change: { temperature: si } })}
                onClear={() => edit({ edit: 'setRoom', change: { temperature: null } })}
                sx={{ flex: 1 }}
              />
              <QuantityField
                label="Measured humidity"
                measure="percent"
                value={design.brief.room.humidity}
                max={1}
                step={0.05}
                placeholder={`${write({ kind: 'quantity', measure: 'percent', si: room.humidity })} taken`}
                onCommit={(si) => edit({ edit: 'setRoom', change: { humidity: si } })}
                onClear={() => edit({ edit: 'setRoom', change: { humidity: null } })}
                sx={{ flex: 1 }}
              />
            </Box>
          </Part>

          <Part
            title="Enclosure"
            aside={`${write(tank(assessment.interior))} inside, ${write(mass(assessment.empty.kg))} empty${assessment.empty.weighed ? '' : ' (calculated)'}, ${write(mass(assessment.standingMass))} standing; presses ${write(pressure(assessment.loads.pressure))}`}
          >
            <EnclosureFields />
          </Part>

          {here.length > 0 && (
            <Box sx={{ mb: 2.5 }}>
              <FindingList findings={here} onMend={edit} />
            </Box>
          )}

          <TextField
            label="Note"
            multiline
            minRows={2}
            fullWidth
            value={design.brief.note}
            onChange={(event) => edit({ edit: 'setNote', change: { note: event.target.value } }, 'note')}
          />
        </>
      }
    />
  );
}

function Part({
  title,
  aside,
  children,
}: {
  readonly title: string;
  readonly aside?: string;
  readonly children: ReactNode;
}) {
  return (
    <Box component="section" aria-label={title} sx={{ mb: 2.5 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5, mb: 1.25 }}>
        <Typography variant="h2">{title}</Typography>
        {aside && (
          <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
            {aside}
          </Typography>
        )}
      </Box>
      {children}
    </Box>
  );
}

interface StageProps {
  readonly design: Design;
  readonly onChange: (stage: Stage, since: string | null) => void;
}

function StageField({ design, onChange }: StageProps) {
  return (
    <TextField
      select
      label="Stage"
      value={design.brief.stage}
      onChange={(event) => onChange(Stage.parse(event.target.value), localDay(Date.now()))}
      sx={{ width: 130 }}
    >
      {Stage.options.map((stage) => (
        <MenuItem key={stage} value={stage}>
          {STAGE_WORD[stage]}
        </MenuItem>
      ))}
    </TextField>
  );
}
