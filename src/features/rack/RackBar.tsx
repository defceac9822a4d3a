'use client';

import SearchIcon from '@mui/icons-material/Search';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import InputAdornment from '@mui/material/InputAdornment';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Group, Only, Sort } from './arranged';
import type { RackView } from './useRackView';

const SORT_WORD: Readonly<Record<Sort, string>> = {
  name: 'Name',
  due: 'Due first',
  problem: 'Problems first',
  species: 'Species',
  room: 'Room and shelf',
  size: 'Largest first',
  age: 'Kept longest first',
  own: 'My own order',
};
const GROUP_WORD: Readonly<Record<Group, string>> = {
  none: 'Not grouped',
  room: 'Room',
  shelf: 'Shelf',
  species: 'Species',
  stage: 'Stage',
};
const ONLY_WORD: Readonly<Record<Only, string>> = {
  all: 'All',
  due: 'Due today',
  late: 'Late',
  fix: 'Something to fix',
  lived: 'Lived in',
  building: 'Not lived in yet',
};

interface Props {
  readonly view: RackView;
  readonly onChange: (change: Partial<Omit<RackView, 'order'>>) => void;
  /** Said while something is looked for. */
  readonly said: string;
  readonly isChoosing: boolean;
  readonly onChoose: () => void;
}

/** What stands over a rack: looking for, putting in order, choosing several. */
export function RackBar({ view, onChange, said, isChoosing, onChoose }: Props) {
  // On a phone the work begins sooner without them.
  const [isOpen, setOpen] = useState(false);
  const pick = <T extends string>(
    label: string,
    value: T,
    words: Readonly<Record<T, string>>,
    take: (next: T) => void,
  ) => (
    <TextField
      select
      size="small"
      label={label}
      value={value}
      onChange={(event) => take(event.target.value as T)}
      sx={{ flex: { xs: '1 1 104px', md: '0 1 168px' } }}
    >
      {(Object.entries(words) as [T, string][]).map(([key, word]) => (
        <MenuItem key={key} value={key}>
          {word}
        </MenuItem>
      ))}
    </TextField>
  );
  return (
    <Box sx={{ mb: 1.75 }}>
      <Box role="search" sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1 }}>
        <TextField
          size="small"
          type="search"
          label="Find on the rack"
          placeholder="name, species, animal, room"
          value={view.text}
          onChange={(event) => onChange({ text: event.target.value })}
          onKeyDown={(event) => {
            if (event.key !== 'Escape' || view.text === '') return;
            event.stopPropagation();
            onChange({ text: '' });
          }}
          sx={{ flex: { xs: '1 0 100%', sm: '1 1 220px' }, maxWidth: { md: 340 } }}
          slotProps={{
            input: {
              startAdornment: (
                <InputAdornment position="start">
                  <SearchIcon fontSize="small" aria-hidden />
                </InputAdornment>
              ),
            },
          }}
        />
        <Button
          aria-expanded={isOpen}
          aria-controls="rack-view"
          onClick={() => setOpen(!isOpen)}
          sx={{ display: { sm: 'none' } }}
        >
          Sort and group
        </Button>
        <Box
          id="rack-view"
          sx={{
            display: { xs: isOpen ? 'flex' : 'none', sm: 'contents' },
            flexWrap: 'wrap',
            gap: 1,
            order: { xs: 1, sm: 'initial' },
            width: '100%',
          }}
        >
          {pick('Show', view.only, ONLY_WORD, (only) => onChange({ only }))}
          {pick('Sort by', view.sort, SORT_WORD, (sort) => onChange({ sort }))}
          {pick('Group by', view.group, GROUP_WORD, (group) => onChange({ group }))}
        </Box>
        <ToggleButtonGroup
          exclusive
          size="small"
          value={view.as}
          onChange={(_, as: RackView['as'] | null) => as && onChange({ as })}
          aria-label="Shown as"
        >
          <ToggleButton value="cards">Cards</ToggleButton>
          <ToggleButton value="list">List</ToggleButton>
        </ToggleButtonGroup>
        <Button onClick={onChoose} aria-pressed={isChoosing}>
          {isChoosing ? 'Stop choosing' : 'Choose several'}
        </Button>
      </Box>
      <Typography variant="body2" role="status" sx={{ color: 'earth.quiet', mt: said === '' ? 0 : 0.75 }}>
        {said}
      </Typography>
    </Box>
  );
}
