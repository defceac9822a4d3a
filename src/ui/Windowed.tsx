'use client';

import Box from '@mui/material/Box';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useRef, useState, type ReactNode } from 'react';

interface Props<T> {
  readonly items: readonly T[];
  readonly keyOf: (item: T) => string;
  /** px an item takes, roughly: until it was drawn once. */
  readonly estimate: (item: T) => number;
  /** px between two items. */
  readonly gap: number;
  readonly children: (item: T) => ReactNode;
}

/** Up to so many stand on the page all the time, so that the browser finds and prints all of them. */
const ALL = 24;

/** Blocks one under the other; of many only those near sight stand on the page, so that hundreds are as quick as ten. */
export function Windowed<T>(props: Props<T>) {
  const { items, keyOf, gap, children } = props;
  if (items.length > ALL) return <Near {...props} />;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: `${gap}px` }}>
      {items.map((it) => (
        <div key={keyOf(it)}>{children(it)}</div>
      ))}
    </Box>
  );
}

function Near<T>({ items, keyOf, estimate, gap, children }: Props<T>) {
  const frame = useRef<HTMLDivElement>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => {
    const element = frame.current;
    if (!element) return undefined;
    // What stands above it may grow.
    const measure = (): void => setTop(element.getBoundingClientRect().top + window.scrollY);
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(document.body);
    return () => observer.disconnect();
  }, []);
  const keyAt = (index: number): string | number => {
    const item = items[index];
    return item === undefined ? index : keyOf(item);
  };
  const virtual = useWindowVirtualizer({
    count: items.length,
    getItemKey: keyAt,
    estimateSize: (index) => {
      const item = items[index];
      return item === undefined ? 0 : estimate(item);
    },
    gap,
    overscan: 3,
    scrollMargin: top,
  });
  return (
    <div ref={frame} style={{ position: 'relative', height: virtual.getTotalSize() }}>
      {virtual.getVirtualItems().map(({ key, index, start }) => {
        const item = items[index];
        return (
          item !== undefined && (
            <div
              key={key}
              data-index={index}
              ref={virtual.measureElement}
              style={{
                position: 'absolute',
                insetInline: 0,
                top: 0,
                transform: `translateY(${start - top}px)`,
              }}
            >
              {children(item)}
            </div>
          )
        );
      })}
    </div>
  );
}
