import { SCHOOLS, STATIONS, STEP_IDS, type Gate, type StepInput, type StepTemplate } from '@bunkhouse/core';
import { CELSIUS } from './programShapes.js';
import { Amount, Either, Eithers, MayBe, Part, Parts, Text, Texts, Word, YesNo, type Bounds } from './rules.js';

export const HOURS: Bounds = { min: 0, max: 10_000 };

type InputOf<Kind extends StepInput['kind']> = Extract<StepInput, { kind: Kind }>;
const NAME = /^[A-Za-z0-9]+$/;

abstract class AnyInput {
  @Text(40, { pattern: NAME }) name: string;
  @Text(120) label: string;
  @MayBe() @YesNo() optional?: boolean;
}

abstract class InputOfPieces extends AnyInput {
  /** once for every piece */
  @MayBe() @Word(['piece']) each?: 'piece';
}

class MassInputShape extends InputOfPieces implements InputOf<'mass'> {
  @Word(['mass']) kind: 'mass';
  @MayBe() @YesNo() allowZero?: boolean;
}

class TemperatureInputShape extends InputOfPieces implements InputOf<'temperature'> {
  @Word(['temperature']) kind: 'temperature';
  @MayBe() @Word(['core', 'rawCore', 'coolingCore', 'chamber', 'water', 'brine', 'cold'], 'what it is read of') of?: InputOf<'temperature'>['of'];
}

class DepthInputShape extends InputOfPieces implements InputOf<'depth'> {
  @Word(['depth']) kind: 'depth';
}

class ChoiceShape {
  @Text(40) value: string;
  @Text(120) label: string;
}

class ChoiceInputShape extends AnyInput implements InputOf<'choice'> {
  @Word(['choice']) kind: 'choice';
  @Parts(() => ChoiceShape, 20) options: readonly ChoiceShape[];
}

/** A condition on what was measured. */
export class GateShape implements Gate {
  @Texts(40, 10) inputs: string[];
  @MayBe() @Amount('') max?: number;
  @MayBe() @Amount('') min?: number;
  @MayBe() @Texts(40, 20) oneOf?: string[];
  @Word(['reason', 'again', 'stop']) onFail: Gate['onFail'];
  @MayBe() @Amount('h', HOURS) againH?: number;
  @MayBe() @Amount('') reasonFrom?: number;
  @Text(400) say: string;
}

type Anchored = StepTemplate['after'];
/** A step of a batch: of the trade, or a turn by its number. */
const STEP = /^[a-z0-9-]+$/;
type NamesStep = Extract<Anchored, { cureShare: number }>['step'];

/** So many hours after another step. */
class HoursAfterShape implements Extract<Anchored, { h: number }> {
  @Text(60, { pattern: STEP }) step: NamesStep | 'start';
  @Amount('h', HOURS) h: number;
}

/** So large a share of the days of cure after another step. */
class ShareAfterShape implements Extract<Anchored, { cureShare: number }> {
  @Text(60, { pattern: STEP }) step: NamesStep;
  @Amount('share of the days of cure', { min: 0, max: 2 }) cureShare: number;
}

export class StretchShape {
  @Amount('h', HOURS) leastH: number;
  @Amount('h', HOURS) mostH: number;
}

export class NotBeforeShape {
  @Text(60, { pattern: STEP }) step: NamesStep;
  @Amount('share of the days of cure') share: number;
  @Text(400) say: string;
}

/** °C or h, for cured meat and for other: in batches of the first shape only. */
export class CooledLimitsShape {
  @Amount('°C or h') cured: number;
  @Amount('°C or h') uncured: number;
}

export class CoolingShape implements NonNullable<StepTemplate['cooling']> {
  @MayBe() @Word([0, 1]) gate?: 0 | 1;
  @MayBe() @Amount('°C', CELSIUS) fromC?: number;
  @MayBe() @Part(() => CooledLimitsShape) toC?: CooledLimitsShape;
  @MayBe() @Part(() => CooledLimitsShape) limitH?: CooledLimitsShape;
  @Text(400) say: string;
}

const INPUTS = () => [MassInputShape, TemperatureInputShape, DepthInputShape, ChoiceInputShape] as const;
const ANCHORS = () => [HoursAfterShape, ShareAfterShape] as const;

/** A step as a process has it. */
export class StepShape implements StepTemplate {
  @Word(STEP_IDS) id: StepTemplate['id'];
  @Word(STATIONS) station: StepTemplate['station'];
  @Text(120) title: string;
  @Text(120) act: string;
  @Text(4000) task: string;
  @Texts(60, 20, STEP) needs: NamesStep[];
  @Either(ANCHORS, null) after: Anchored;
  @MayBe() @Part(() => StretchShape) stretch?: StretchShape;
  @MayBe() @Amount('min', { min: 0 }) handsMin?: number;
  @Amount('h', HOURS) graceH: number;
  @Eithers(INPUTS, 'kind', 20) inputs: StepInput[];
  @Parts(() => GateShape, 10) gates: GateShape[];
  @MayBe() @Part(() => NotBeforeShape) notBeforeCureShare?: NotBeforeShape;
  @MayBe() @Part(() => CoolingShape) cooling?: CoolingShape;
  @MayBe() @YesNo() missable?: boolean;
  @MayBe() @YesNo() skippable?: boolean;
  @MayBe() @Text(60, { pattern: STEP }) skippedWith?: NamesStep;
  @MayBe() @Word(SCHOOLS) only?: StepTemplate['only'];
  @MayBe() @Amount('h', { above: 1 }) repeatEveryH?: number;
}
