import { type PlannedStepId, STATIONS, sum, type Station, HOUR_MS } from '@bunkhouse/core';
import type { Batch } from '../../data/batches';
import { nameHere } from '../../reader/here';

/** A batch at a station, ms from and to. */
interface Band {
  station: Station;
  from: number;
  to: number;
}

/** A job of a batch, ms. */
export interface Job {
  id: PlannedStepId;
  title: string;
  station: Station;
  at: number;
  done: boolean;
  /** beside the line, as a turn */
  beside: boolean;
}

export interface Row {
  batch: Batch;
  id: string;
  code: string;
  what: string;
  greenG: number;
  bands: Band[];
  jobs: Job[];
}

/** A batch as a row of the Calendar: every station from its first job to the next one's, every job as a tick. */
export function rowOf(batch: Batch): Row {
  const { record, state } = batch;
  const jobs = state.steps
    .filter((step) => step.status !== 'missed')
    .map((step): Job => ({
      id: step.spec.id,
      title: nameHere(step.spec.title),
      station: step.spec.station,
      at: step.closing === null ? step.dueAt : Date.parse(step.closing.at),
      done: step.closing !== null,
      beside: step.spec.missable === true,
    }));
  const begins = STATIONS.flatMap((station): { station: Station; from: number }[] => {
    const times = jobs.filter((job) => job.station === station).map((job) => job.at);
    return times.length === 0 ? [] : [{ station, from: Math.min(...times) }];
  }).sort((a, b) => a.from - b.from);
  const end = Math.max(...jobs.map((job) => job.at)) + HOUR_MS;
  return {
    batch,
    id: record.id,
    code: record.code,
    what: record.process.name,
    greenG: sum(state.facts.greenG),
    bands: begins.map(({ station, from }, i) => ({ station, from, to: Math.max(from, begins[i + 1]?.from ?? end) })),
    jobs: jobs.sort((a, b) => a.at - b.at),
  };
}
