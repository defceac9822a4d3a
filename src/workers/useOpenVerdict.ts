'use client';

import { useMemo } from 'react';
import type { Finding } from '@/core/findings';
import { allFindings, type VerdictState } from '@/core/verdict';
import { useOpenDesign, useStore } from '@/store';
import { useVerdict } from './useVerdict';

/** The open design with its verdict, and all that is found of it: by rules at once, by its year when that is known. */
export function useOpenVerdict(): {
  readonly verdict: VerdictState;
  readonly findings: readonly Finding[];
} {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const verdict = useVerdict(design, catalogue);
  const findings = useMemo(() => allFindings(assessment.findings, verdict), [assessment.findings, verdict]);
  return { verdict, findings };
}
