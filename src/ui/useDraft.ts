import { useState } from 'react';

/**
 * Text that is half typed: it is still there once the page was loaded again, in this window, until it is written or
 * emptied.
 * @param name what it is for, among all that is typed
 */
export function useDraft(name: string): readonly [string, (text: string) => void] {
  const key = `rincon-draft ${name}`;
  const [text, setText] = useState(() => {
    try {
      return sessionStorage.getItem(key) ?? '';
    } catch {
      return '';
    }
  });
  const put = (next: string): void => {
    setText(next);
    try {
      if (next === '') sessionStorage.removeItem(key);
      else sessionStorage.setItem(key, next);
    } catch {
      // A browser that keeps nothing: it is typed again.
    }
  };
  return [text, put];
}
