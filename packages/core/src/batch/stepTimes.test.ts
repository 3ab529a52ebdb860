import { HOUR_MS } from '../clock/spans.js';
import type { PlannedStepId } from '../log/stepId.js';
import fc from 'fast-check';
import { planSteps } from './planSteps.js';
import { PLANNED_PRODUCTS, processFor } from '../recipes/processes.js';
import { plannedTimes, stepTimes, type StepFact } from './stepTimes.js';
import { usualDesign } from '../recipes/usualDesign.js';

const START = Date.parse('2026-10-05T07:00:00.000Z');

const product = fc.constantFrom(...PLANNED_PRODUCTS);
const school = fc.constantFrom('equilibrium' as const, 'pumpAndCover' as const);
const stepsOf = (name: (typeof PLANNED_PRODUCTS)[number], kind: 'equilibrium' | 'pumpAndCover', cureDays: number) =>
  planSteps(processFor(name), { ...usualDesign(name, new Date(START).toISOString(), kind), cureDays });

describe('dated steps', () => {
  test('no step is due before the ones that it needs, whatever was done when', () => {
    fc.assert(
      fc.property(
        product,
        school,
        fc.integer({ min: 2, max: 30 }),
        fc.array(fc.integer({ min: -5, max: 40 }), { maxLength: 60 }),
        fc.integer({ min: 0, max: 900 }),
        (name, kind, days, delays, nowH) => {
          const steps = stepsOf(name, kind, days);
          const planned = plannedTimes(steps, START, days);
          const facts = new Map<PlannedStepId, StepFact>();
          // A prefix of the work is done, each step early or late by some hours but never before the one before it.
          let last = START;
          delays.forEach((delay, i) => {
            const step = steps[i];
            if (step === undefined) return;
            last = Math.max(last, (planned.get(step.id) ?? START) + delay * HOUR_MS);
            facts.set(step.id, { closedAt: last });
          });
          const now = START + nowH * HOUR_MS;
          const due = stepTimes(steps, START, days, facts, now);
          for (const step of steps) {
            for (const id of step.needs) {
              const needed = facts.get(id)?.closedAt ?? due.get(id) ?? START;
              expect(due.get(step.id) ?? 0).toBeGreaterThanOrEqual(needed);
            }
          }
        },
      ),
    );
  });

  test('time that passes moves a plan only later, never earlier', () => {
    fc.assert(
      fc.property(product, school, fc.integer({ min: 0, max: 500 }), fc.integer({ min: 0, max: 500 }), (name, kind, a, b) => {
        const steps = stepsOf(name, kind, 7);
        const [early, late] = [Math.min(a, b), Math.max(a, b)].map((h) => stepTimes(steps, START, 7, new Map(), START + h * HOUR_MS));
        for (const step of steps) expect(late?.get(step.id) ?? 0).toBeGreaterThanOrEqual(early?.get(step.id) ?? 0);
      }),
    );
  });

  test('the turns are a day apart and end before the pull', () => {
    for (const days of [2, 6.5, 7, 14]) {
      const steps = stepsOf('ham-bone-in', 'pumpAndCover', days);
      const due = plannedTimes(steps, START, days);
      const turns = steps.filter((step) => step.missable).map((step) => due.get(step.id) ?? 0);
      expect(turns).toHaveLength(Math.ceil(days) - 1);
      for (let i = 1; i < turns.length; i += 1) expect((turns[i] ?? 0) - (turns[i - 1] ?? 0)).toBe(24 * HOUR_MS);
      expect(Math.max(...turns)).toBeLessThan(due.get('pull') ?? 0);
    }
  });

  test('the re-pump is half-way, and only where there is one', () => {
    const steps = stepsOf('ham-bone-in', 'pumpAndCover', 8);
    const due = plannedTimes(steps, START, 8);
    expect((due.get('repump') ?? 0) - (due.get('meat-in') ?? 0)).toBe(4 * 24 * HOUR_MS);
    expect(stepsOf('canadian-bacon', 'pumpAndCover', 6).map((step) => step.id)).not.toContain('repump');
    expect(stepsOf('ham-bone-in', 'equilibrium', 21).map((step) => step.id)).not.toContain('pump');
  });
});
