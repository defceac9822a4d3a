'use client';

import CheckIcon from '@mui/icons-material/Check';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import type { CultureDue } from '@/core/living/cultureCare';
import { useRecordBook } from '@/store';
import { taskWhy, taskWords } from '@/ui/cultureWords';
import { dayWords } from '@/ui/days';
import { useAct } from '@/ui/useAct';
import { CardList } from './CardList';

/** What cultures are due for: one line for each, done in one tap. */
export function CultureDues({
  dues,
  today,
}: {
  readonly dues: readonly CultureDue[];
  readonly today: string;
}) {
  const book = useRecordBook();
  const act = useAct();
  if (dues.length === 0) return null;
  return (
    <Box component="section" aria-labelledby="due-cultures">
      <Typography variant="h2" id="due-cultures" sx={{ mb: 0.75 }}>
        <NextLink href="/stores?tab=cultures" style={{ color: 'inherit', textDecoration: 'none' }}>
          Cultures
        </NextLink>
      </Typography>
      <CardList>
        {dues.map((it) => {
          const what = taskWords(it);
          return (
            <Box
              key={`${it.culture.id} ${it.task}`}
              component="li"
              sx={{
                borderTop: 1,
                borderColor: 'earth.rule',
                px: 1.5,
                py: 0.75,
                display: 'flex',
                gap: 1.5,
                alignItems: 'center',
                '&:first-of-type': { borderTop: 0 },
              }}
            >
              <Button
                variant="outlined"
                aria-label={`Done: ${what}`}
                onClick={() => void act(`Done: ${what}.`, () => book.settleCulture(it, today))}
                sx={{ minWidth: 48, width: 48, minHeight: 48, p: 0, flex: 'none' }}
              >
                <CheckIcon />
              </Button>
              <Box sx={{ flex: 1, minWidth: 0 }}>
                <Box sx={{ fontWeight: 600 }}>
                  {what}
                  {it.late > 0 && (
                    <Box
                      component="span"
                      sx={{ color: 'earth.clay', fontWeight: 600, ml: 1, typography: 'body2' }}
                    >
                      {it.late === 1 ? 'since yesterday' : `${it.late} days late`}
                    </Box>
                  )}
                </Box>
                <Box sx={{ typography: 'body2', color: 'earth.quiet' }}>
                  {taskWhy(it)} {it.last === null ? '' : `Last: ${dayWords(it.last)}.`}
                </Box>
              </Box>
            </Box>
          );
        })}
      </CardList>
    </Box>
  );
}
