export function serve(
  port: number,
  options?: {
    readonly demo?: boolean;
    readonly lan?: boolean;
    readonly code?: string | null;
    readonly quiet?: boolean;
  },
): Promise<{ readonly url: string; readonly pid: number | undefined; readonly stop: () => void }>;
