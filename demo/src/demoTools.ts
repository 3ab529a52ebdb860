import { DAY_MS } from '@bunkhouse/core';
import type { ToolCheckRequest, ToolRequest } from '@bunkhouse/api';
import { idFrom } from './random.js';

export interface DemoTool {
  tool: ToolRequest;
  checks: ToolCheckRequest[];
}

type Sizes = Omit<ToolRequest, 'id' | 'name' | 'putAway' | 'by'>;
type Read = Omit<ToolCheckRequest, 'id' | 'at' | 'by'>;

/** Tamarack Fork lies so high, m. */
const ALTITUDE_M = 1180;

const TOOLS: readonly [name: string, sizes: Sizes, checks: readonly (readonly [daysAgo: number, read: Read])[]][] = [
  [
    'Red instant-read',
    { kind: 'thermometer', stepC: 0.1 },
    [
      [74, { iceC: 0.3 }],
      [9, { iceC: 0.6, boilC: 96.4, altitudeM: ALTITUDE_M }],
    ],
  ],
  ['Spare with the dial', { kind: 'thermometer', stepC: 1 }, [[51, { iceC: -1 }]]],
  ['Tall salometer', { kind: 'hydrometer', scale: 'salometer', calibrationC: 15.6 }, [[12, { waterReads: 1, waterC: 15.6 }]]],
  ['Cure scale', { kind: 'scale', stepG: 0.1, mostG: 600 }, []],
  ['Bench scale', { kind: 'scale', stepG: 5, mostG: 30_000 }, []],
  ['Short needle', { kind: 'needle', lengthMm: 70, holes: 1 }, []],
  ['Long needle', { kind: 'needle', lengthMm: 130, holes: 10 }, []],
];

/** What Tamarack Fork measures and pumps with: one thermometer a little high, one that has not seen ice for too long. */
export const demoTools = (now: number): DemoTool[] =>
  TOOLS.map(([name, sizes, checks]) => ({
    tool: { ...sizes, id: idFrom(`tool ${name}`), name, putAway: false, by: 'Wren' },
    checks: checks.map(([daysAgo, read]) => ({
      id: idFrom(`check ${name} ${daysAgo}`),
      at: new Date(now - daysAgo * DAY_MS).toISOString(),
      by: daysAgo < 10 ? 'Juno' : 'Wren',
      ...read,
    })),
  }));
