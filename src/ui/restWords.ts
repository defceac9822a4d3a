import { restOf, restPhase, type RestPhase } from '@/core/brief';
import type { Animal } from '@/core/catalogue';
import type { Design } from '@/core/document';
import { dayWords } from './days';

const WORDS: Record<RestPhase, (until: string) => string> = {
  fasts: (until) => `not fed, winter rest begins ${until}`,
  cools: (until) => `being cooled for winter rest, until ${until}`,
  rests: (until) => `at winter rest until ${until}`,
  wakes: (until) => `waking from winter rest, fed from ${until}`,
};
/** In one word, where a line is short. */
const SHORT: Record<RestPhase, string> = {
  fasts: 'fasting',
  cools: 'cooling',
  rests: 'resting',
  wakes: 'waking',
};

/** Where in its winter rest an animal is that lives somewhere, to be set behind its name; null: it is awake. */
export function restWords(
  design: Pick<Design, 'brief' | 'living'>,
  animal: Animal | undefined,
  today: string,
  isShort = false,
): string | null {
  if (design.brief.stage !== 'inhabited') return null;
  const now = restPhase(restOf(design, animal), today);
  return now && (isShort ? SHORT[now.phase] : WORDS[now.phase](dayWords(now.until)));
}
