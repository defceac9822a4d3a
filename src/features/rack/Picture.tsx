'use client';

import Box from '@mui/material/Box';
import { memo, useLayoutEffect, useRef, useState } from 'react';
import { createPortal } from 'react-dom';
import type { Assessment } from '@/core/assess';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import { length } from '@/core/units';
import { Section } from '@/ui/section/Section';
import { useReader } from '@/ui/units';
import { useElementSize } from '@/ui/useElementSize';
import { useInSight } from '@/ui/useInSight';
import { useTurn } from '@/ui/useTurn';
import { dark, light } from '@/ui/theme/theme';

interface Drawing {
  readonly url: string;
  /** What it shows, for who cannot see it. */
  readonly alt: string;
}

/** Drawings that were made, each kept as long as its design, by size. */
const made = new WeakMap<Design, Map<string, Drawing>>();

/** Inks of both schemes, since what stands in a picture knows nothing of its page. */
const INKS = [light, dark].map(
  ({ sky, ink }) => `:root{--mui-palette-earth-sky:${sky};--mui-palette-earth-ink:${ink}}`,
);
const STYLE = `<style>${INKS[0] ?? ''}@media (prefers-color-scheme:dark){${INKS[1] ?? ''}}</style>`;

const HEIGHT = 200;

interface PictureProps {
  readonly design: Design;
  readonly assessment: Assessment;
  readonly catalogue: Catalogue;
  readonly width: number;
  /** m the enclosure may be at most, so that several share one scale. */
  readonly span: number;
}

/**
 * An enclosure's section as a picture. It is drawn once, aside, and stands on the page as one element: a hundred drawings
 * of a thousand lines each would be walked through at every frame of scrolling.
 */
function Picture({ design, assessment, catalogue, width, span }: PictureProps) {
  const { write } = useReader();
  // Its words are told in the reader’s units.
  const size = `${width} ${span} ${write(length(design.enclosure.width))}`;
  const [drawn, setDrawn] = useState<{ readonly of: Design; readonly size: string } | null>(null);
  // Off the page: nothing of it is styled or laid out.
  const [aside] = useState(() => document.createElement('div'));
  const known = made.get(design)?.get(size);
  useLayoutEffect(() => {
    const svg = aside.querySelector('svg');
    if (known || !svg) return;
    const text = new XMLSerializer().serializeToString(svg).replace('<defs', `${STYLE}<defs`);
    const own = made.get(design) ?? new Map<string, Drawing>();
    own.set(size, {
      url: `data:image/svg+xml;charset=utf-8,${encodeURIComponent(text)}`,
      alt: svg.getAttribute('aria-label') ?? design.name,
    });
    made.set(design, own);
    queueMicrotask(() => setDrawn({ of: design, size }));
  }, [aside, design, known, size, drawn]);
  if (known)
    // eslint-disable-next-line @next/next/no-img-element -- drawn here, there is nothing to fetch or resize
    return <img src={known.url} alt={known.alt} width={width} height={HEIGHT} style={{ display: 'block' }} />;
  return (
    <>
      <div style={{ height: HEIGHT }} />
      {createPortal(
        <Section {...{ design, assessment, catalogue, width, span }} view="front" height={HEIGHT} plain />,
        aside,
      )}
    </>
  );
}

/** Enclosures up to this size share one scale, so that a tall one looks tall, m. */
const SHARED_SPAN = 0.95;

/** The picture at the head of a card, as wide as the card; drawn when it first comes near, each in its turn, and kept. */
export const CardPicture = memo(function CardPicture({
  design,
  assessment,
  catalogue,
}: Pick<PictureProps, 'design' | 'catalogue'> & {
  /** Not worked out yet, or it cannot be: nothing is drawn. */
  readonly assessment: Assessment | null | undefined;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const { width } = useElementSize(frame);
  const near = useInSight(frame, '400px');
  const [wanted, setWanted] = useState(near);
  if (near && !wanted) setWanted(true);
  const isDrawn = useTurn(wanted);
  const { enclosure } = design;
  const span = Math.max(SHARED_SPAN, enclosure.width, enclosure.height);
  return (
    <Box ref={frame} sx={{ borderBottom: 1, borderColor: 'earth.rule', px: 2, pt: 1.5, pb: 1 }}>
      {width > 0 && isDrawn && assessment ? (
        <Picture {...{ design, assessment, catalogue, span }} width={width - 32} />
      ) : (
        <Box sx={{ height: HEIGHT }} />
      )}
    </Box>
  );
});
