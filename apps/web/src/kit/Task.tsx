import { wordsOfStep, type Process, type StepSpec } from '@bunkhouse/core';
import { useSay } from '../reader/reader';

/** What the hands do at a step, as whoever holds this device reads it. */
export function Task({ spec, process }: { spec: StepSpec; process: Process }) {
  return useSay()(wordsOfStep(spec, process).task);
}
