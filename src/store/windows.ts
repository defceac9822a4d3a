/** Which window of the browser this is, and which others are open: undo takes back only what was done in this one. */
export interface Windows {
  readonly me: string;
  /** Whether an id is that of another window that is open. */
  readonly isOther: (id: string) => boolean;
}

interface Word {
  readonly say: 'who' | 'here' | 'gone';
  readonly id: string;
}

function listen(): Windows {
  const me = crypto.randomUUID();
  const others = new Set<string>();
  const channel = new BroadcastChannel('rincon-windows');
  const say = (word: Word['say']): void => channel.postMessage({ say: word, id: me } satisfies Word);
  channel.addEventListener('message', ({ data }: MessageEvent<Word>) => {
    if (data.say === 'gone') others.delete(data.id);
    else others.add(data.id);
    if (data.say === 'who') say('here');
  });
  addEventListener('pagehide', () => say('gone'));
  // One that comes back from the history was never closed.
  addEventListener('pageshow', (event) => event.persisted && say('who'));
  say('who');
  return { me, isOther: (id) => others.has(id) };
}

const ALONE: Windows = { me: 'alone', isOther: () => false };
let windows: Windows | undefined;

/** This window among those that are open; where there are no windows, one that is alone. */
export const thisWindow = (): Windows =>
  (windows ??= typeof window === 'undefined' || typeof BroadcastChannel === 'undefined' ? ALONE : listen());
