import type { Step } from './step';

export interface Tool {
  readonly tool: string;
  /** Titles of the steps it is wanted at. */
  readonly steps: readonly string[];
}

/** Every tool of a build, once, in the order in which they are first wanted. */
export function toolsOf(steps: readonly Step[]): readonly Tool[] {
  const tools = new Map<string, string[]>();
  for (const { title, tools: own } of steps)
    for (const tool of own) tools.set(tool, [...(tools.get(tool) ?? []), title]);
  return [...tools].map(([tool, titles]) => ({ tool, steps: titles }));
}
