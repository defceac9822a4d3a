'use client';

import CloseIcon from '@mui/icons-material/Close';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { type DeviceKind } from '@/core/catalogue';
import { type Forecast } from '@/core/climate';
import { temperature } from '@/core/units';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { Panel } from '@/ui/Panel';
import { useReader } from '@/ui/units';
import { SeasonNote } from './SeasonNote';
import { heldWord, timerWord } from './words';
import { DeviceDetail } from './DeviceDetail';

const GROUPS: Record<DeviceKind['group'], string> = {
  uv: 'UV',
  light: 'Light',
  heat: 'Heat',
  mist: 'Mist and fog',
  air: 'Air',
};

interface Props {
  readonly selected: string | null;
  readonly onSelect: (device: string | null) => void;
  readonly onSeasons: () => void;
  readonly forecast: Forecast | null;
}

/** What is fitted, and all there is to say about the one that is picked. */
export function EquipmentTab({ selected, onSelect, onSeasons, forecast }: Props) {
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const { write } = useReader();
  const { devices } = design.climate;
  const [wanted, setWanted] = useState<DeviceKind | null>(null);
  const picked = devices.find((it) => it.id === selected);

  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      <SeasonNote sets={(it) => it.devices.length > 0} onSeasons={onSeasons} />
      <Panel label="Installed">
        {devices.length === 0 && (
          <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
            Nothing is installed yet. Add something below, or have equipment proposed for the animal.
          </Typography>
        )}
        <Box component="ul" aria-label="Installed" sx={{ listStyle: 'none', m: 0, p: 0 }}>
          {devices.map((device) => (
            <Box
              key={device.id}
              component="li"
              sx={{
                display: 'flex',
                alignItems: 'center',
                borderRadius: '8px',
                bgcolor: device.id === selected ? 'earth.mossWash' : undefined,
              }}
            >
              <Button
                onClick={() => onSelect(device.id === selected ? null : device.id)}
                aria-pressed={device.id === selected}
                sx={{ flex: 1, justifyContent: 'flex-start', textAlign: 'left', py: 0.5, color: 'earth.ink' }}
              >
                <Box component="span" sx={{ flex: 1, minWidth: 0 }}>
                  {device.name}
                  <Box
                    component="span"
                    sx={{ display: 'block', typography: 'caption', color: 'earth.quiet' }}
                  >
                    {[
                      device.power > 0 ? `${device.power} W` : '',
                      timerWord(device.timer),
                      heldWord(device, (it) => write(temperature(it))),
                    ]
                      .filter(Boolean)
                      .join(' · ')}
                  </Box>
                </Box>
              </Button>
              <IconButton
                size="small"
                aria-label={`Take out ${device.name}`}
                onClick={() => edit({ edit: 'removeDevice', change: { device: device.id } })}
              >
                <CloseIcon fontSize="small" />
              </IconButton>
            </Box>
          ))}
        </Box>
        <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
          <Autocomplete
            fullWidth
            options={catalogue.climate.devices}
            groupBy={(it) => GROUPS[it.group]}
            getOptionLabel={(it) => it.name}
            value={wanted}
            onChange={(_, next) => setWanted(next)}
            isOptionEqualToValue={(a, b) => a.id === b.id}
            renderOption={({ key, ...option }, it) => (
              <Box component="li" key={key} {...option} sx={{ display: 'block !important' }}>
                {it.name}
                <Box component="span" sx={{ display: 'block', typography: 'caption', color: 'earth.quiet' }}>
                  {it.why}
                </Box>
              </Box>
            )}
            renderInput={(params) => <TextField {...params} label="Equipment to add" />}
          />
          <Button
            variant="contained"
            disabled={!wanted || devices.length >= 40}
            onClick={() => {
              if (!wanted) return;
              edit({ edit: 'addDevice', change: { kind: wanted.id } });
              setWanted(null);
            }}
          >
            Add
          </Button>
          <Button
            variant="outlined"
            onClick={() => edit({ edit: 'proposeClimate', change: {} })}
            sx={{ whiteSpace: 'nowrap', flexShrink: 0 }}
          >
            Propose again
          </Button>
        </Box>
      </Panel>
      {picked && <DeviceDetail key={picked.id} device={picked} forecast={forecast} />}
    </Box>
  );
}
