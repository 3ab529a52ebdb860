import { colouredDepth, programHours, pullWindow, simulateSection, soakPlan, thicknessMm, type CureCourse, type SectionSimulation } from '@bunkhouse/core';
import { expose, transfer } from 'comlink';
import type { SectionAnswer, SectionReport, SpeciesCourse } from './sectionMessages';
import { workFault } from './workFault';

/** Cells across the thickness: as fine as the eye needs. */
const ACROSS = 48;
const SAMPLES = 180;

const answers = {
  /** All that a picture needs; how far it is, told on the way. */
  section: (course: CureCourse, soakChanges: number, progress: (share: number) => void): SectionReport => {
    try {
      const answer = work(course, soakChanges, progress);
      return transfer({ answer }, [answer.salt.fields.buffer, answer.nitrite.fields.buffer]);
    } catch (error) {
      return { fault: workFault(error, 'The picture could not be computed.') };
    }
  },
};
export type SectionWorker = typeof answers;
expose(answers);

function work(course: CureCourse, soakChanges: number, progress: (share: number) => void): SectionAnswer {
  const { section, meatG, stages, pullH, diffusivity } = course;
  const cellMm = Math.max(0.8, thicknessMm(section) / ACROSS);
  const run = (species: 'salt' | 'nitrite', cell: number): SectionSimulation =>
    simulateSection({
      section,
      meatG,
      cellMm: cell,
      diffusivity: diffusivity.value,
      stages: stages[species],
      sampleHours: Math.max(0.1, programHours(stages[species]) / SAMPLES),
    });
  const salt = run('salt', cellMm);
  progress(0.3);
  const nitrite = run('nitrite', cellMm);
  progress(0.55);
  const coarse = run('salt', cellMm * 2);
  const window = (m2s: number) => pullWindow(course, cellMm * 2, m2s);
  const coloured = (m2s: number) => colouredDepth(course, pullH, m2s);
  const windows = { likely: window(diffusivity.value), slow: window(diffusivity.low), fast: window(diffusivity.high) };
  progress(0.85);
  return {
    width: salt.width,
    height: salt.height,
    cellMm,
    salt: speciesOf(salt),
    nitrite: speciesOf(nitrite),
    windows,
    colouredMm: { likely: coloured(diffusivity.value), slow: coloured(diffusivity.low), fast: coloured(diffusivity.high) },
    soak: soakPlan(course, { cellMm, changes: soakChanges }),
    balanceError: Math.max(salt.saltBalanceError, nitrite.saltBalanceError),
    cellError: Math.abs(meanAt(salt, pullH) - meanAt(coarse, pullH)),
  };
}

const meanAt = ({ timesH, mean }: SectionSimulation, atH: number): number => mean[timesH.findIndex((h) => h >= atH - 1e-6)] ?? 0;

function speciesOf(run: SectionSimulation): SpeciesCourse {
  const size = run.width * run.height;
  const fields = new Float32Array(size * run.timesH.length);
  run.timesH.forEach((_h, i) => fields.set(run.field(i), i * size));
  return { timesH: run.timesH, core: run.core, mean: run.mean, edge: run.slice, fields };
}
