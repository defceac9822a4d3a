import { spawnSync } from 'node:child_process';
import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { ESLint } from 'eslint';
import ts from 'typescript';
import { afterAll, describe, expect, it } from 'vitest';

/** The checks of the house, checked: a rule that lets a breach pass is no rule. */
const eslint = new ESLint();
const told = async (code: string): Promise<string[]> => {
  const [result] = await eslint.lintText(code, { filePath: 'src/core/breach.ts' });
  return result!.messages.map((it) => it.ruleId ?? '');
};

describe('the core may reach no clock, no chance, no screen, no store', () => {
  it.each([
    ['a clock', 'export const t = Date.now();', 'no-restricted-properties'],
    ['a clock', 'export const t = new Date();', 'no-restricted-syntax'],
    ['a clock', 'export const t = performance.now();', 'no-restricted-globals'],
    ['unseeded randomness', 'export const r = Math.random();', 'no-restricted-properties'],
    ['unseeded randomness', 'export const r = crypto.randomUUID();', 'no-restricted-globals'],
    ['the DOM', "export const d = document.createElement('p');", 'no-restricted-globals'],
    ['storage', "export const s = localStorage.getItem('x');", 'no-restricted-globals'],
    ['the network', "export const f = fetch('/x');", 'no-restricted-globals'],
  ])('%s: %s', async (_, code, rule) => expect(await told(code)).toContain(rule));

  it('and a date that is passed in is no clock', async () => {
    expect(await told('export const t = (day: string) => new Date(day).getTime();')).toEqual([]);
  });
});

describe('who may import whom', () => {
  const breaches: readonly (readonly [file: string, code: string, rule: string])[] = [
    [
      'src/core/breach/react.ts',
      "import { useState } from 'react';\nexport const x = useState;",
      'core-is-pure',
    ],
    ['src/core/breach/dexie.ts', "import Dexie from 'dexie';\nexport const x = Dexie;", 'core-is-pure'],
    [
      'src/core/breach/fs.ts',
      "import { readFileSync } from 'node:fs';\nexport const x = readFileSync;",
      'core-is-pure',
    ],
    [
      'src/core/breach/store.ts',
      "import { RinconDatabase } from '@/store';\nexport const x = RinconDatabase;",
      'core-knows-only-core',
    ],
    [
      'src/core/ground/breach.ts',
      "import type { Verdict } from '../verdict';\nexport type X = Verdict;",
      'core-floors',
    ],
    [
      'src/features/breach/other.ts',
      "import { Rack } from '@/features/rack/Rack';\nexport const x = Rack;",
      'features-are-strangers',
    ],
    [
      'src/ui/breach/store.ts',
      "import { useStore } from '@/store';\nexport const x = useStore;",
      'ui-knows-no-feature',
    ],
  ];
  const folders = ['src/core/breach', 'src/features/breach', 'src/ui/breach'];
  afterAll(() => {
    for (const folder of folders) rmSync(folder, { recursive: true, force: true });
    rmSync('src/core/ground/breach.ts', { force: true });
  });

  it('every breach is caught', () => {
    for (const folder of folders) mkdirSync(folder, { recursive: true });
    for (const [file, code] of breaches) writeFileSync(file, code);
    const run = spawnSync(
      'node_modules/.bin/depcruise',
      ['--output-type', 'json', ...breaches.map(([file]) => file)],
      {
        encoding: 'utf8',
        maxBuffer: 1 << 28,
      },
    );
    const { summary } = JSON.parse(run.stdout) as {
      summary: { violations: { from: string; rule: { name: string } }[] };
    };
    for (const [file, , rule] of breaches) {
      const caught = summary.violations.filter((it) => it.from === file).map((it) => it.rule.name);
      expect(caught, file).toContain(rule);
    }
  });
});

/** Files of the program; tests, their helpers and what the shell runs are none of what a page loads. */
const modules = readdirSync('src', { recursive: true, encoding: 'utf8' })
  .map((it) => `src/${it}`)
  .filter((it) => /\.tsx?$/.test(it) && !/\.test\.|\/testing\/|^src\/cli\//.test(it));
const parsed = (file: string): ts.SourceFile =>
  ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);

describe('what a page leaves out', () => {
  it('is nothing that does something by being loaded: package.json names every module that does', () => {
    const { sideEffects } = JSON.parse(readFileSync('package.json', 'utf8')) as { sideEffects: string[] };
    const acting = modules.filter((file) =>
      parsed(file).statements.some(
        (it) =>
          !ts.isImportDeclaration(it) &&
          !ts.isExportDeclaration(it) &&
          !ts.isExportAssignment(it) &&
          !ts.isVariableStatement(it) &&
          !ts.isFunctionDeclaration(it) &&
          !ts.isClassDeclaration(it) &&
          !ts.isInterfaceDeclaration(it) &&
          !ts.isTypeAliasDeclaration(it) &&
          !ts.isModuleDeclaration(it) &&
          !/^'use (client|server)';$/.test(it.getText()),
      ),
    );
    expect(acting).toContain('src/ui/echarts.ts');
    const unnamed = acting.filter((it) => !it.endsWith('.worker.ts') && !sideEffects.includes(`./${it}`));
    expect(unnamed).toEqual([]);
  });
});

describe('the core from the shell', () => {
  const assess = (...args: string[]) =>
    spawnSync('node_modules/.bin/tsx', ['src/cli/assess.ts', ...args], {
      encoding: 'utf8',
      env: { ...process.env, LC_ALL: 'C.UTF-8' },
    });

  it('prints numbers and findings of an exported file, or JSON', () => {
    const text = assess('tests/fixtures/rack-v1.rincon.json');
    expect(text.stdout).toContain('70 + 30 + 10 is taken as 63.6 : 27.3 : 9.1.');
    // The year is played here as on the screen: boxes without heat or mist do not hold, and that is severe.
    expect(text.stdout).toContain('Does not hold: ');
    expect(text.status).toBe(1);
    const json = assess('tests/fixtures/rack-v1.rincon.json', '--json');
    const results = JSON.parse(json.stdout) as {
      answer: string;
      moisture?: { layers: Record<string, unknown[]> };
    }[];
    expect(results).toHaveLength(4);
    for (const it of results) expect(['holds', 'holds-but', 'fails', 'cannot']).toContain(it.answer);
    // Every result is plain data: nothing of it is lost on the way out.
    expect(Object.values(results[0]?.moisture?.layers ?? {})[0]?.length).toBeGreaterThan(5);
  });

  it('says where a file will not do, and ends with 2', () => {
    const run = assess('package.json');
    expect(run.stderr).toMatch(/package\.json: at format: .*another program/);
    expect(run.status).toBe(2);
    expect(assess().stderr).toContain('usage');
  });
});
