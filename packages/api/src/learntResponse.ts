import { PRODUCTS, VERDICTS, type Product, type Verdict } from '@bunkhouse/core';
import { DiffusivityShape } from './shapes/cureShapes.js';
import { TableVerdictShape } from './shapes/entryShapes.js';
import { Amount, Count, Id, Instant, LONG, MayBe, Part, Parts, Text, Texts, Word, YesNo } from './shapes/rules.js';

/** Something that a log tells of and that the house learns from, unless it is left out. */
abstract class LearntFrom {
  @Text(80, { description: 'the entry and the piece' }) id: string;
  @Id() batchId: string;
  @Text(40) code: string;
  @Text(60) name: string;
  @Word(PRODUCTS) product: Product;
  @Text(10) piece: string;
  @Text(40) by: string;
  @Instant() at: string;
  @YesNo() leftOut: boolean;
}

export class LearntCutFace extends LearntFrom {
  @Amount('how deep the colour reached, mm') colouredMm: number;
  @Amount('from rim to middle, mm') halfMm: number;
  @Amount('how deep the model says, as learnt now, mm') expectedMm: number;
}

export class LearntTaste extends LearntFrom {
  @Amount('salt of the outermost meat by the model, %') edgePercent: number;
  @Word(VERDICTS) verdict: Verdict;
  @Amount('what it alone would put the taste at, %') impliedPercent: number;
}

/** What was said of a batch at table. */
export class LearntAtTable {
  @Id() id: string;
  @Id() batchId: string;
  @Text(40) code: string;
  @Text(60) name: string;
  @Word(PRODUCTS) product: Product;
  @Text(40) by: string;
  @Instant() at: string;
  /** every piece when not given */
  @MayBe() @Texts(10, 60) pieces?: readonly string[];
  @Part(() => TableVerdictShape) verdict: TableVerdictShape;
  @Text(1000, { description: 'what to do next time; empty where nothing was said' }) nextTime: string;
}

export class TasteTarget {
  @Amount('salt that tastes right at the edge, %') percent: number;
  @Amount('one standard deviation, %') spread: number;
  @Count() verdicts: number;
}

/** What this house has learnt from its own batches, and from what. */
export class LearntResponse {
  @Part(() => DiffusivityShape) diffusivity: DiffusivityShape;
  @Parts(() => LearntCutFace, LONG) cutFaces: LearntCutFace[];
  /** the salt that its cooks like at the edge */
  @Part(() => TasteTarget) taste: TasteTarget;
  @Parts(() => LearntTaste, LONG) tasted: LearntTaste[];
  /** what was said at table, the newest first */
  @Parts(() => LearntAtTable, LONG) atTable: LearntAtTable[];
}
