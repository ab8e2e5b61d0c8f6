import { spawnSync } from 'node:child_process';
import { Linter } from 'eslint';

/** The rules that hold the tree together must fail the build, so they are tried on code that breaks them. */
const config = jest.requireActual<Linter.Config[]>('../eslint.config.js');
const linter = new Linter({ configType: 'flat', cwd: process.cwd() });
const rulesBroken = (filename: string, code: string) => linter.verify(code, config, { filename }).map((m) => m.ruleId);

describe('import directions', () => {
  it.each([
    ['core/water/x.ts', "import '@/store/hooks';"],
    ['core/water/x.ts', "import 'react';"],
    ['core/water/x.ts', "import type { SwingCase } from '../swing';"],
    ['core/logbook/x.ts', "import type { Order } from '../cover/order';"],
    ['core/tackle/x.ts', "import '@/core/advice';"],
    ['core/water/x.ts', "import fs from 'node:fs';\nfs.existsSync('');"],
    ['ui/x.tsx', "import '@/screens/plan/PlanScreen';"],
    ['ui/x.tsx', "import '@/store/hooks';"],
    ['store/x.ts', "import '@/ui/theme';"],
    ['store/x.ts', "import '../screens/plan/PlanScreen';"],
    ['workers/x.ts', "import '@/screens/shared/files';"],
    ['store/x.ts', "import '@/workers/files';"],
    ['screens/plan/x.tsx', "import '@/app/_layout';"],
    ['server/x.ts', "import '@/ui/theme';"],
    ['core/answer/x.ts', "import '@/words/units';"],
    ['core/answer/x.ts', "import '@/formats/csv';"],
    ['words/x.ts', "import '@/formats/csv';"],
    ['words/x.ts', "import 'react';"],
  ])('%s may not say %s', (file, code) => {
    expect(rulesBroken(file, code)).toContain('no-restricted-imports');
  });

  it.each([
    ['screens/plan/x.tsx', "import '@/ui/theme';"],
    ['store/x.ts', "import '@/core/units';"],
    ['words/x.ts', "import '@/core/answer';"],
    ['formats/x.ts', "import '@/words/units';"],
    ['workers/x.ts', "import '@/store/files';"],
    ['core/water/x.ts', "import '../units';"],
    ['core/cover/x.ts', "import { type LogEvent } from '../logbook';"],
  ])('%s may say %s', (file, code) => {
    expect(rulesBroken(file, code)).not.toContain('no-restricted-imports');
  });

  it('keeps chance and the clock out of the core', () => {
    expect(rulesBroken('core/water/x.ts', 'export const a = Math.random();')).toContain('no-restricted-properties');
    expect(rulesBroken('core/water/x.ts', 'export const a = Date.now();')).toContain('no-restricted-properties');
    expect(rulesBroken('core/water/x.ts', 'export const a = document.title;')).toContain('no-restricted-globals');
  });
});

describe('how the program speaks', () => {
  it.each([
    ['words/x.ts', "export const a = 'Colour is foretold for two days';"],
    ['words/x.ts', 'export const a = (m: number) => `${m} m of sight`;'],
    ['screens/x.tsx', 'export const A = () => <Text>The plain rule of steps</Text>;'],
    ['screens/x.tsx', 'export const A = () => <Button label="None in the bag" />;'],
    ['screens/x.tsx', 'export const A = () => <Button label="Save the run." />;'],
    ['words/x.ts', `export const a = '${'word '.repeat(23)}';`],
  ])('%s may not say %s', (file, code) => {
    expect(rulesBroken(file, code)).toContain('wanderung/voice');
  });

  it.each([
    ['words/x.ts', "export const a = 'A pale fly goes out of sight';"],
    ['words/x.ts', `export const a = '${'word '.repeat(22)}. ${'word '.repeat(22)}';`],
    ['screens/x.tsx', 'export const A = () => <Button label="Save run" />;'],
    ['core/x.ts', "export const a = 'what is on';"],
  ])('%s may say %s', (file, code) => {
    expect(rulesBroken(file, code)).not.toContain('wanderung/voice');
  });

  it.each([
    ["export const a = 'The colour is middling: a tailout at dusk';", 0],
    ["export const a = 'The forcast of colour';", 1],
  ])('is spelt as a dictionary and the trade have it: %s', (code, status) => {
    const args = ['lint', '--no-progress', '--no-summary', `stdin://${process.cwd()}/words/x.ts`];
    expect(spawnSync('node_modules/.bin/cspell', args, { input: code }).status).toBe(status);
  });
});
