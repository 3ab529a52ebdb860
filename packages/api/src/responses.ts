import type { DeviceKind } from './deviceRequest.js';
import type { Role } from './roles.js';
import type { HouseSettings } from './houseSettings.js';
import type {
  BatchDesign,
  Diffusivity,
  FaceMarks,
  FaceShares,
  LedgerLine,
  LogEntry,
  LotKind,
  Origin,
  Process,
  Recipe,
  ToolCheck,
  ToolSize,
  Verdict,
  Message,
} from '@bunkhouse/core';

/** Every error of the API. */
export interface ErrorResponse {
  statusCode: number;
  /** a sentence that a cook understands */
  message: string;
  errors?: FieldError[];
}

/** What is wrong at a field. What core found bears its code and what it is about, so that it can be said in other units. */
export interface FieldError {
  field: string;
  message: string;
  code?: string;
  args?: Message['args'];
}

/** A batch with its log; what follows from them is derived by core. */
export interface BatchResponse {
  id: string;
  code: string;
  design: BatchDesign;
  process: Process;
  entries: LogEntry[];
  createdBy: string;
  /** ISO instant */
  createdAt: string;
  /** the batch that it is a part of */
  origin?: Origin;
}

/** A batch of a family: those that were cut from one, and it. */
export interface FamilyMember {
  id: string;
  code: string;
  name: string;
  /** the batch that it was cut from; null for the first */
  from: string | null;
  /** g green that are here now */
  greenG: number;
  packedG: number | null;
  outcome: 'live' | 'finished' | 'thrownAway';
}

export interface HealthResponse {
  status: 'ok' | 'down';
  database: 'answers' | 'does not answer';
  version: string;
}

export interface HouseResponse {
  name: string;
  /** whether it was opened with the made-up cook-house */
  demo: boolean;
  settings: HouseSettings;
}

/** A person of the crew. */
export interface PersonResponse {
  id: string;
  name: string;
  role: Role;
  /** ISO instant from when on the house is closed to them; null for nobody knows when */
  endsAt: string | null;
  putAway: boolean;
  hasPin: boolean;
  hasPassword: boolean;
  /** whether the PIN was closed after too many wrong ones */
  pinClosed: boolean;
  /** ISO instant; null where they were never here */
  seenAt: string | null;
}

/** Who stands at this device. */
export interface SessionResponse {
  house: string;
  demo: boolean;
  /** nobody is of the crew yet: the first to come makes the head cook, at this machine itself */
  first: 'here' | 'elsewhere' | null;
  person: { id: string; name: string; role: Role } | null;
  /** a shared tablet that nobody touched for a while: it shows, and logs again once somebody gave a PIN */
  locked: boolean;
  /** this device is put up for the crew; null where it is somebody’s own */
  tablet: string | null;
  /** who may sign in here by PIN; nobody on a device that is not the crew’s */
  people: { name: string; pin?: string }[];
  /** after how many minutes this device locks; null where it does not */
  lockMin: number | null;
}

/** A device at which somebody is signed in. */
export interface OpenSession {
  id: string;
  name: string;
  by: 'pin' | 'password';
  tablet: string | null;
  /** browser and system as far as they say */
  device: string;
  startedAt: string;
  seenAt: string;
  /** whether it is the one that asks */
  here: boolean;
}

/** A tablet of the crew. */
export interface TabletResponse {
  id: string;
  name: string;
  madeBy: string;
  madeAt: string;
  seenAt: string | null;
}

/** An ended batch in a line of the Ledger. */
export interface LedgerRow extends LedgerLine {
  /** materials for each kilogram packed, in the house's money; null where its meat has no price */
  costPerKg: number | null;
}

/** A page of the Ledger. */
export interface LedgerResponse {
  /** how many there are of what was asked for */
  total: number;
  /** weights of all of them together, g, and the mean yield, % of green */
  greenG: number;
  packedG: number;
  yieldPercent: number | null;
  rows: LedgerRow[];
}

/** What a point in a trend is drawn by. */
export type TrendPoint = Pick<LedgerLine, 'id' | 'code' | 'product' | 'endedAt' | 'yieldPercent' | 'saltPercent' | 'taste' | 'cureDays' | 'thicknessMm'>;

/** Something that a log tells of and that the house learns from, unless it is left out. */
interface LearntFrom {
  /** the entry and the piece */
  id: string;
  batchId: string;
  code: string;
  name: string;
  piece: string;
  by: string;
  /** ISO instant */
  at: string;
  leftOut: boolean;
}

/** What this house has learnt from its own batches, and from what. */
export interface LearntResponse {
  /** how fast brine moves in its meat */
  diffusivity: Diffusivity;
  cutFaces: (LearntFrom & { colouredMm: number; halfMm: number; /** by the model, as learnt now, mm */ expectedMm: number })[];
  /** the salt that its cooks like at the edge, % */
  taste: { percent: number; spread: number; verdicts: number };
  tasted: (LearntFrom & { edgePercent: number; verdict: Verdict; /** what it alone would put the taste at, % */ impliedPercent: number })[];
}

/** Where calendars outside subscribe. */
export interface CalendarFeedResponse {
  /** the secret address on this server; null until somebody asked for one */
  path: string | null;
  /** minutes before a job at which a telephone rings; null for no alarm */
  alarmMin: number | null;
}

/** A device that hands readings in. */
export interface DeviceResponse {
  id: string;
  name: string;
  kind: DeviceKind;
  channels: { channel: number; name: string; /** the last that was heard; null before */ last: { at: string; C: number } | null }[];
  /** the refrigerator that a logger hangs in, by its id in the plan of the house; null for others */
  store: string | null;
  /** what a scale showed last; null for others */
  weight: Weight | null;
  simulated: boolean;
  createdBy: string;
  createdAt: string;
  /** when it was last heard; null before */
  heardAt: string | null;
}

/** What a scale showed. */
export interface Weight {
  g: number;
  /** false while it still settled */
  stable: boolean;
  /** ISO instant */
  at: string;
}

/** What the stream tells of a scale. */
export type WeightEvent = Weight & { device: string };

/** A new token: shown once, kept as a hash only. */
export interface DeviceTokenResponse {
  device: DeviceResponse;
  token: string;
}

/** What became of the readings that were handed in. */
export interface TakenResponse {
  taken: number;
  /** those that were there already, with the same temperature */
  known: number;
  /** by their place in the list, from 0 */
  refused: { line: number; reason: string }[];
}

/** Readings of some channels, gathered into steps of time: the mean of each, with the lowest and the highest. */
export interface SeriesResponse {
  everyS: number;
  channels: { device: string; channel: number; /** ms */ at: number[]; C: number[]; low: number[]; high: number[] }[];
}

/** What the stream tells of readings that have come in. */
export interface ReadingsEvent {
  device: string;
  /** ms: from the earliest to the latest of them */
  from: number;
  to: number;
  latest: { channel: number; at: number; C: number }[];
}

/** A recipe as it stood from one time on. */
export interface RecipeVersion {
  version: number;
  recipe: Recipe;
  /** what was changed, and why; empty for the first */
  reason: string;
  by: string;
  /** ISO instant */
  at: string;
}

/** A recipe with every version that it ever had, the last first. */
export interface RecipeResponse {
  id: string;
  putAway: boolean;
  versions: RecipeVersion[];
}

/** A lot, and what batches have left of it. */
export interface LotResponse {
  id: string;
  kind: LotKind;
  name: string;
  number: string;
  supplier: string;
  /** dates */
  receivedOn: string;
  bestBefore: string | null;
  amountG: number;
  takenG: number;
  /** what all of it cost, in the house's money */
  price: number | null;
  /** how many batches took from it, parts that were cut off among them */
  batches: number;
  putAway: boolean;
  by: string;
  at: string;
}

/** A batch that holds a lot. */
export interface LotBatch {
  id: string;
  code: string;
  name: string;
  outcome: 'live' | 'finished' | 'thrownAway';
  /** g that were taken for it, or for what it was cut from */
  g: number;
  /** ISO instant of the first taking */
  at: string;
  by: string;
}

/** A tool of the house, with every time that it was checked, the first one first. */
export interface ToolResponse {
  id: string;
  name: string;
  size: ToolSize;
  putAway: boolean;
  by: string;
  at: string;
  checks: ToolCheck[];
}

/** What was read of a picture. */
export interface PictureReading {
  marks: FaceMarks;
  shares: FaceShares;
  by: string;
  at: string;
}

/** A picture of a cut face; itself it lies at `/api/pictures/ID`. */
export interface PictureResponse {
  id: string;
  batchId: string;
  piece: string;
  /** px */
  width: number;
  height: number;
  by: string;
  /** ISO instant */
  at: string;
  /** the last reading */
  reading: PictureReading | null;
}
