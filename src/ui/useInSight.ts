'use client';

import { useEffect, useState, type RefObject } from 'react';

/** Whether an element is in sight, or nearly: so far around it. */
export function useInSight(of: RefObject<Element | null>, around = '120px'): boolean {
  // Where nothing can tell, all is taken to be in sight.
  const [seen, setSeen] = useState(typeof IntersectionObserver === 'undefined');
  useEffect(() => {
    const element = of.current;
    if (!element || typeof IntersectionObserver === 'undefined') return undefined;
    const observer = new IntersectionObserver(([entry]) => setSeen(entry?.isIntersecting ?? false), {
      rootMargin: around,
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [of, around]);
  return seen;
}
