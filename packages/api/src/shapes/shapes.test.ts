import type {
  HandAct,
  BatchDesign,
  DesignChanges,
  FaceMarks,
  FaceShares,
  HousePlan,
  LedgerLine,
  LogEntry,
  Origin,
  PieceEvent,
  PitEvent,
  Process,
  Recipe,
  StepTemplate,
  ToolCheck,
  ToolSize,
} from '@bunkhouse/core';
import type { HouseSettings } from '../houseSettings.js';
import type { LedgerRow, OriginShape } from '../responses.js';
import type { SettingsShape } from '../settingsRequest.js';
import type { DesignChangesShape, DesignShape } from './designShapes.js';
import type { ENTRIES, EVENTS } from './entryShapes.js';
import type { FaceMarksShape, FaceSharesShape } from './faceShapes.js';
import type { HousePlanShape } from './planShapes.js';
import type { ProcessShape, RecipeShape } from './recipeShapes.js';
import type { CoolingShape, StepShape } from './stepShapes.js';
import type { TOOL_SIZES, ToolCheckShape } from './toolShapes.js';

/** A type spelled out: without readonly, classes as what they hold. */
type Plain<T> = T extends readonly (infer Item)[] ? Plain<Item>[] : T extends object ? { -readonly [Key in keyof T]: Plain<T[Key]> } : T;
type Exactly<A, B> = (<T>() => T extends A ? 1 : 2) extends <T>() => T extends B ? 1 : 2 ? true : false;
/** Whether two types say the same, to the last property: the one that core computes with, and the one that is written down. */
type Same<A, B> = Exactly<Plain<A>, Plain<B>>;

type OneOf<Classes extends () => readonly (new () => unknown)[]> = InstanceType<ReturnType<Classes>[number]>;

test('what is written down is what core computes with, to the last property: the compiler says so', () => {
  const same: {
    design: Same<DesignShape, BatchDesign>;
    changes: Same<DesignChangesShape, DesignChanges>;
    recipe: Same<RecipeShape, Recipe>;
    plan: Same<HousePlanShape, HousePlan>;
    marks: Same<FaceMarksShape, FaceMarks>;
    shares: Same<FaceSharesShape, FaceShares>;
    entry: Same<OneOf<typeof ENTRIES>, LogEntry>;
    event: Same<OneOf<typeof EVENTS>, PitEvent | PieceEvent | HandAct>;
    origin: Same<OriginShape, Origin>;
    tool: Same<OneOf<typeof TOOL_SIZES>, ToolSize>;
    check: Same<ToolCheckShape, ToolCheck>;
    settings: Same<SettingsShape, HouseSettings>;
    line: Same<Omit<LedgerRow, 'costPerKg'>, LedgerLine>;
    process: Same<Omit<ProcessShape, 'steps'>, Omit<Process, 'steps'>>;
    step: Same<Omit<StepShape, 'cooling'>, Omit<StepTemplate, 'cooling'>>;
    // Batches of the first shape have limits in it, which nobody reads any more.
    cooling: Same<Pick<CoolingShape, 'gate' | 'say'>, NonNullable<StepTemplate['cooling']>>;
  } = {
    design: true,
    changes: true,
    recipe: true,
    plan: true,
    marks: true,
    shares: true,
    entry: true,
    event: true,
    origin: true,
    tool: true,
    check: true,
    settings: true,
    line: true,
    process: true,
    step: true,
    cooling: true,
  };
  expect(Object.values(same)).not.toContain(false);
});
