import type { ECharts } from 'echarts/core';
import { useEffect, useRef, useState, type RefObject } from 'react';

/**
 * A chart in an element, as large as the element is; undefined until the library has come.
 * @returns where it is put, the chart once it stands, and whether the library could not be loaded
 */
export function useECharts(renderer: 'svg' | 'canvas'): {
  readonly host: RefObject<HTMLDivElement | null>;
  readonly chart: ECharts | undefined;
  readonly missing: boolean;
} {
  const host = useRef<HTMLDivElement>(null);
  const [chart, setChart] = useState<ECharts>();
  const [missing, setMissing] = useState(false);
  useEffect(() => {
    const element = host.current;
    if (!element) return undefined;
    let live = true;
    let made: ECharts | undefined;
    const observer = new ResizeObserver(() => made?.resize());
    import('./echarts').then(
      ({ init }) => {
        if (!live) return;
        made = init(element, undefined, { renderer });
        observer.observe(element);
        setChart(made);
      },
      () => setMissing(live),
    );
    return () => {
      live = false;
      observer.disconnect();
      made?.dispose();
    };
  }, [renderer]);
  return { host, chart, missing };
}
