import {
  ENDINGS,
  HAND_ACTS,
  LOT_KINDS,
  SHAPING_ACTS,
  TENDING_ACTS,
  type Ending,
  type HandAct,
  type HandActId,
  TABLE_VERDICTS,
  type TableVerdict,
  type LogEntry,
  type LotDraw,
  type PieceEvent,
  type PitEvent,
  type Probe,
  type ReadWith,
  type ShapingAct,
  type StepValues,
  type TendingAct,
} from '@bunkhouse/core';
import { DesignChangesShape } from './designShapes.js';
import { GRAMS } from './pieceShapes.js';
import { CELSIUS } from './programShapes.js';
import { Amount, Amounts, ByName, Count, Either, Id, Instant, MayBe, Part, Parts, Text, Texts, Word, YesNo } from './rules.js';
import { VesselShape } from './vesselShape.js';
import type { RuleContext } from './ruleContext.js';

const PIECE = /^[A-Za-z0-9]+$/;
const CODE = { pattern: PIECE, description: 'a piece by its code' };

class ProbeShape implements Probe {
  @Id() device: string;
  @Count({ min: 1, max: 64 }) channel: number;
  @Text(10, { pattern: PIECE, description: 'chamber, or a piece by its code' }) reads: string;
  @MayBe() @Amount('°C', CELSIUS) targetC?: number;
}

type PitOf<Act extends PitEvent['act']> = Extract<PitEvent, { act: Act }>;

class TendedShape {
  @Word(TENDING_ACTS) act: TendingAct;
  @MayBe() @Text(10, CODE) piece?: string;
}
class ProbesShape implements PitOf<'probes'> {
  @Word(['probes']) act: 'probes';
  @Parts(() => ProbeShape, 24) probes: ProbeShape[];
}
class CheckedShape implements PitOf<'check'> {
  @Word(['check']) act: 'check';
  @Text(10, CODE) piece: string;
  @Amounts('°C', 6, CELSIUS) placesC: number[];
  @MayBe() @Amount('°C', CELSIUS) probeC?: number;
}
class BathShape implements PitOf<'bath'> {
  @Word(['bath']) act: 'bath';
  @Amount('°C', CELSIUS) waterC: number;
  @MayBe() @Text(10, CODE) piece?: string;
}
class HeardShape implements PitOf<'heard'> {
  @Word(['heard']) act: 'heard';
  @Text(80) alarm: string;
}
class DecidedShape implements PitOf<'decided'> {
  @Word(['decided']) act: 'decided';
  @Text(80) alarm: string;
}

type PieceOf<Act extends PieceEvent['act']> = Extract<PieceEvent, { act: Act }>;

class ShapedShape {
  @Word(SHAPING_ACTS) act: ShapingAct;
  @Text(10, CODE) piece: string;
  @MayBe() @Amount('g cut away', GRAMS) offG?: number;
  @MayBe() @Amount('g after it', GRAMS) weighsG?: number;
}
class SplitShape implements PieceOf<'split'> {
  @Word(['split']) act: 'split';
  @Text(10, CODE) piece: string;
  @Amount('g', GRAMS) staysG: number;
  @Amount('g', GRAMS) goesG: number;
  @Text(40) to: string;
}
class PartedShape implements PieceOf<'parted'> {
  @Word(['parted']) act: 'parted';
  /** codes of the pieces that are another batch from now on */
  @Texts(10, 12, PIECE) pieces: readonly string[];
  @Text(40) to: string;
}
class JoinedShape implements PieceOf<'joined'> {
  @Word(['joined']) act: 'joined';
  @Text(10, CODE) piece: string;
  @Text(40) to: string;
}
class DroppedShape implements PieceOf<'dropped'> {
  @Word(['dropped']) act: 'dropped';
  @Text(10, CODE) piece: string;
}

/** What was said of it at table. */
export class TableVerdictShape implements TableVerdict {
  @MayBe() @Word(TABLE_VERDICTS.salt) salt?: TableVerdict['salt'];
  @MayBe() @Word(TABLE_VERDICTS.firmness) firmness?: TableVerdict['firmness'];
  @MayBe() @Word(TABLE_VERDICTS.smoke) smoke?: TableVerdict['smoke'];
  @MayBe() @Word(TABLE_VERDICTS.doneness) doneness?: TableVerdict['doneness'];
}

class HandActShape extends TableVerdictShape implements HandAct {
  @Word(HAND_ACTS) act: HandActId;
  /** codes of the pieces; every piece when not given */
  @MayBe() @Texts(10, 60, PIECE) pieces?: readonly string[];
  @MayBe() @Amount('°C', CELSIUS) C?: number;
  @MayBe() @Amount('% relative humidity', { min: 0, max: 100 }) humidityPercent?: number;
  @MayBe() @Amount('g', GRAMS) g?: number;
  @MayBe() @Amount('min', { above: 0, max: 86_400 }) forMin?: number;
  @MayBe() @Count({ min: 1, max: 50 }) times?: number;
}

export class LotDrawShape implements LotDraw {
  @Word(LOT_KINDS) of: LotDraw['of'];
  @Id() lot: string;
  @Amount('g', GRAMS) g: number;
}

/** With which thermometer an entry was read, and what that showed. */
class ReadWithShape implements ReadWith {
  @Id() tool: string;
  @Text(40) name: string;
  @MayBe() @YesNo() isChecked?: boolean;
  @ByName<Record<string, number>>({ values: { type: 'number', minimum: -50, maximum: 400 }, names: '^[A-Za-z][A-Za-z0-9]{0,39}(:[A-Z0-9]{1,4})?$', most: 60 })
  shown: Record<string, number>;
}

/** What was measured: numbers and words, for a piece with its code. */
export const VALUES_OF_STEP = {
  values: { type: ['number', 'string'], maxLength: 80 },
  names: '^[A-Za-z0-9]{1,40}(:[A-Z0-9]{1,4})?$',
  most: 80,
} as const satisfies RuleContext;
const VALUES = ByName<StepValues>(VALUES_OF_STEP);

const PIT_EVENTS = () => [TendedShape, ProbesShape, CheckedShape, BathShape, HeardShape, DecidedShape] as const;
const PIECE_EVENTS = () => [ShapedShape, SplitShape, PartedShape, JoinedShape, DroppedShape] as const;
/** What may happen at the pit, or to a piece, or be done beside the plan. */
export const EVENTS = () => [...PIT_EVENTS(), ...PIECE_EVENTS(), HandActShape];

const STEP = { pattern: /^[a-z0-9-]+$/ };
const REASON = 1000;
type EntryOf<Kind extends LogEntry['kind']> = Extract<LogEntry, { kind: Kind }>;
type Step = EntryOf<'done'>['stepId'];

abstract class Written {
  @Id() id: string;
  @Count({ min: 1 }, 'order in the batch’s log') seq: number;
  @Text(40, { least: 1 }) by: string;
  /** who was signed in on the device that handed it in, where that was somebody else */
  @MayBe() @Text(40, { least: 1 }) sentBy?: string;
  @Instant('of the act') at: string;
  /** nobody looked at the clock */
  @MayBe() @YesNo() about?: boolean;
  @Instant('of the writing') recordedAt: string;
}

class DoneShape extends Written implements EntryOf<'done'> {
  @Word(['done']) kind: 'done';
  @Text(60, STEP) stepId: Step;
  @VALUES values: StepValues;
  @MayBe() @Text(REASON) reason?: string;
  @MayBe() @Part(() => ReadWithShape) read?: ReadWithShape;
}
class SkippedShape extends Written implements EntryOf<'skipped'> {
  @Word(['skipped']) kind: 'skipped';
  @Text(60, STEP) stepId: Step;
  @Text(REASON) reason: string;
}
class CorrectionShape extends Written implements EntryOf<'correction'> {
  @Word(['correction']) kind: 'correction';
  @Id() replaces: string;
  @VALUES values: StepValues;
  @Text(REASON) reason: string;
}
class WithdrawnShape extends Written implements EntryOf<'withdrawn'> {
  @Word(['withdrawn']) kind: 'withdrawn';
  @Id() replaces: string;
  @Text(REASON) reason: string;
}
class EndedShape extends Written implements EntryOf<'ended'> {
  @Word(['ended']) kind: 'ended';
  @MayBe() @Word(ENDINGS) how?: Ending;
  @Text(REASON) reason: string;
}
class ReplannedShape extends Written implements EntryOf<'replanned'> {
  @Word(['replanned']) kind: 'replanned';
  @Part(() => DesignChangesShape) changes: DesignChangesShape;
  @Text(REASON) reason: string;
}
class PitShape extends Written implements EntryOf<'pit'> {
  @Word(['pit']) kind: 'pit';
  @Either(PIT_EVENTS, 'act') event: PitEvent;
  @MayBe() @Text(REASON) reason?: string;
  @MayBe() @Part(() => ReadWithShape) read?: ReadWithShape;
}
class PiecesShape extends Written implements EntryOf<'pieces'> {
  @Word(['pieces']) kind: 'pieces';
  @Either(PIECE_EVENTS, 'act') event: PieceEvent;
  @MayBe() @Text(REASON) reason?: string;
}
class VesselsShape extends Written implements EntryOf<'vessels'> {
  @Word(['vessels']) kind: 'vessels';
  @Parts(() => VesselShape, 12) vessels: readonly VesselShape[];
  @MayBe() @Text(REASON) reason?: string;
}
class ActShape extends Written implements EntryOf<'act'> {
  @Word(['act']) kind: 'act';
  @Part(() => HandActShape) event: HandActShape;
  @MayBe() @Text(REASON) reason?: string;
}
class LotShape extends Written implements EntryOf<'lot'> {
  @Word(['lot']) kind: 'lot';
  @Part(() => LotDrawShape) draw: LotDrawShape;
  @MayBe() @Text(REASON) reason?: string;
}
class NoteShape extends Written implements EntryOf<'note'> {
  @Word(['note']) kind: 'note';
  @Text(REASON) reason: string;
}

/** Every kind of entry. */
export const ENTRIES = () =>
  [
    DoneShape,
    SkippedShape,
    CorrectionShape,
    WithdrawnShape,
    EndedShape,
    ReplannedShape,
    PitShape,
    PiecesShape,
    VesselsShape,
    ActShape,
    LotShape,
    NoteShape,
  ] as const;
