import { type TSchema, Type } from '@sinclair/typebox';
import { SOURCES } from '../core/hazard';
import { CABLE_MODES, type JobEvent, PATTERNS } from '../core/job';
import { BACK_STATES, ITEM_KINDS, OFF_STATES, PLACE_KINDS, UNDONE_BY } from '../core/ledger';
import { COMPETENCES } from '../core/refer';
import { FIRST_LEADS, HAZARD_KINDS } from '../core/unit';
import { BatteryFitRequestSchema, ChemistryRowSchema } from './fit';
import { BoardFitRequestSchema } from './harness';
import { FaceSchema, OwnCheckSchema, UnitMapSchema, WayBackNote } from './unit-map';
import {
  agrees,
  Chance,
  Count,
  closed,
  Line,
  Moment,
  Name,
  oneOf,
  type Says,
  Text,
  toldBy,
  Ulid,
} from './words';

const Source = oneOf(SOURCES);
const Place = closed({ kind: oneOf(PLACE_KINDS), label: Type.Optional(Name) });

const ItemDraft = closed({
  kind: oneOf(ITEM_KINDS),
  name: Name,
  thread: Type.Optional(Name),
  lengthMm: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 2000 })),
  drive: Type.Optional(Name),
  head: Type.Optional(Name),
  count: Type.Union([Type.Integer({ minimum: 1, maximum: 9999 }), Type.Null()]),
  from: Type.Optional(Name),
  contacts: Type.Optional(Type.Integer({ minimum: 1, maximum: 999 })),
  latch: Type.Optional(Type.Boolean()),
  place: Place,
  state: Type.Optional(oneOf(OFF_STATES)),
  undoneBy: Type.Optional(oneOf(UNDONE_BY)),
});

const event = <T extends string, P extends Record<string, TSchema>>(type: T, properties: P) =>
  closed({ id: Ulid, at: Moment, by: Name, type: Type.Literal(type), ...properties }, { title: type });

const Money = Type.Integer({ minimum: 0, maximum: 1_000_000_000 });
const Days = Type.Number({ minimum: 0, maximum: 10_000 });
const answer = {
  check: Name,
  outcome: Type.Optional(Name),
  reading: Type.Optional(Type.Number()),
  takes: Type.Optional(Type.Array(Type.Number(), { minItems: 1, maxItems: 100 })),
  source: Source,
  note: Type.Optional(Line),
};
const Item = Type.String({ minLength: 1, maxLength: 40 });

const LEDGER_EVENTS = [
  event('move.recorded', {
    verb: Name,
    text: Line,
    item: Type.Union([ItemDraft, Type.Null()]),
    sideUp: Type.Optional(Name),
    move: Type.Optional(Name),
  }),
  event('item.returned', { item: Item, count: Count, state: oneOf(BACK_STATES) }),
  event('item.taken', { item: Item, count: Count }),
  event('item.proven', { item: Item, how: Line }),
  event('item.counted', { item: Item, count: Count }),
  event('item.written-off', { item: Item, count: Count, reason: Line, replacement: Line }),
  event('item.missed', { item: Item, count: Count }),
  event('item.stashed', { item: Item, place: Place }),
  event('item.altered', { item: Item, what: Line }),
  event('cover.closed', { cover: Name, kind: oneOf(['trial', 'final'] as const) }),
] as const;

const Undone = event('undone', { event: Ulid });

const JOB_EVENTS = [
  event('job.opened', {
    job: Ulid,
    tag: Type.String({ minLength: 1, maxLength: 20 }),
    map: UnitMapSchema,
    unit: Type.Optional(closed({ id: Name, version: Type.Integer({ minimum: 1 }) })),
    place: Type.Optional(Line),
    learned: Type.Optional(
      closed({
        jobs: Type.Integer({ minimum: 0 }),
        weights: Type.Array(
          closed({
            element: Name,
            weight: Type.Number({ exclusiveMinimum: 0 }),
            faults: Type.Integer({ minimum: 0 }),
          }),
          { maxItems: 1000 },
        ),
      }),
    ),
  }),
  event('intake.recorded', {
    function: Name,
    alsoFails: Type.Optional(Type.Array(Name, { maxItems: 20 })),
    symptom: Line,
    pattern: oneOf(PATTERNS),
    since: Type.Optional(Line),
    variant: Type.Optional(Name),
    unitSays: Type.Optional(Line),
    keep: Type.Array(Line, { maxItems: 20 }),
    addHazards: Type.Optional(Type.Array(oneOf(HAZARD_KINDS), { maxItems: 9 })),
  }),
  event('referral.weighed', {
    minutes: Type.Number({ minimum: 0 }),
    currency: Type.String({ minLength: 3, maxLength: 3 }),
    ratePerHour: Money,
    parts: Money,
    competence: oneOf(COMPETENCES),
    warranty: Type.Boolean(),
    makerPrice: Type.Optional(Money),
    makerDays: Type.Optional(Days),
    ownDays: Type.Optional(Days),
    dayCost: Type.Optional(Money),
    choice: oneOf(['repair', 'refer'] as const),
    reason: Type.Optional(Line),
  }),
  event('photo.added', {
    file: Type.String({ pattern: '^[0-9a-f]{64}$' }),
    caption: Line,
    width: Type.Integer({ minimum: 1, maximum: 20_000 }),
    height: Type.Integer({ minimum: 1, maximum: 20_000 }),
    after: Type.Optional(Ulid),
  }),
  event('face.added', { face: FaceSchema }),
  event('pin.placed', {
    face: Type.Optional(Name),
    photo: Type.Optional(Ulid),
    x: Type.Number(),
    y: Type.Number(),
    on: Name,
    item: Type.Optional(Item),
  }),
  event('pin.removed', {
    face: Type.Optional(Name),
    photo: Type.Optional(Ulid),
    pin: Type.Integer({ minimum: 0, maximum: 200 }),
  }),
  event('check.described', { check: OwnCheckSchema }),
  event('note.added', { text: Text }),
  event('timer.started', { what: Line, minutes: Type.Number({ exclusiveMinimum: 0, maximum: 20_160 }) }),
  event('timer.ended', { timer: Ulid }),
  event('job.parked', { why: Line, until: Type.Optional(Line) }),
  event('job.resumed', {}),
  event('check.recorded', { ...answer, leaves: Type.Optional(Name) }),
  event('plan.chosen', {
    element: Name,
    remedy: Name,
    chance: Type.Optional(Chance),
    why: Line,
    saidByUnit: Type.Optional(Type.Boolean()),
  }),
  event('job.referred', { to: Line, why: Line }),
  event('power.set', { power: oneOf(['on', 'off'] as const) }),
  event('gate.cleared', {
    hazard: Name,
    acted: Type.Boolean(),
    reading: Type.Optional(Type.Number()),
    unit: Type.Optional(Name),
    source: Source,
  }),
  event('gate.passed', { hazard: Name, reason: Line }),
  event('power-down.done', { step: Name }),
  event('power-down.passed', { reason: Line }),
  event('charge.read', {
    hazard: Name,
    volts: Type.Optional(Type.Number()),
    percent: Type.Optional(Type.Number()),
    row: Type.Optional(ChemistryRowSchema),
    chemistry: Type.Optional(Type.Integer({ minimum: 0 })),
    source: Source,
  }),
  event('lead-rule.chosen', { rule: oneOf([...FIRST_LEADS, 'no rule'] as const) }),
  event('length.checked', { item: Item, measuredMm: Type.Number() }),
  event('way-back.noted', { item: Item, ...WayBackNote.properties }),
  event('battery.compared', {
    element: Name,
    request: BatteryFitRequestSchema,
    chemistry: Type.Integer({ minimum: 0 }),
  }),
  event('board.compared', { element: Name, request: BoardFitRequestSchema }),
  event('consumable.used', {
    what: Name,
    amount: Type.Optional(Name),
    setsMinutes: Type.Optional(Type.Number()),
    on: Type.Optional(Name),
  }),
  event('unit.entered', { name: Name, goal: Line }),
  event('unit.left', { as: oneOf(['whole', 'open'] as const) }),
  event('preparation.ticked', { line: Name, note: Type.Optional(Line) }),
  event('cables.chosen', { mode: oneOf(CABLE_MODES) }),
  event('plug.moved', { plug: Name, how: Line }),
  event('party.told', { party: Name, how: Line }),
  event('proving.ticked', {
    line: Name,
    outcome: oneOf(['ok', 'bad'] as const),
    reading: Type.Optional(Type.Number()),
    note: Type.Optional(Line),
  }),
  event('soak.started', { minutes: Type.Number(), everyMinutes: Type.Number() }),
  event('soak.ended', {}),
  event('holes.placed', {
    item: Item,
    points: Type.Array(closed({ x: Type.Number(), y: Type.Number() }), { minItems: 1, maxItems: 60 }),
    lid: oneOf(['metal', 'plastic'] as const),
  }),
  event('part.removed', {
    name: Line,
    carry: Type.Optional(Type.Array(Line, { maxItems: 20 })),
    serial: Type.Optional(Line),
    dateCode: Type.Optional(Line),
  }),
  event('part.fitted', { name: Line, serial: Type.Optional(Line), dateCode: Type.Optional(Line) }),
  event('remedy.done', { note: Type.Optional(Line) }),
  event('remedy.tried', {}),
  event('proof.recorded', answer),
  event('job.handed-over', {
    to: Line,
    result: oneOf(['works', 'referred', 'returned as it was'] as const),
    settings: Type.Optional(Line),
    note: Type.Optional(Text),
    followUp: Type.Optional(Line),
  }),
] as const;

/** The events that move things on and off the tray, and the undoing of them. */
export const LedgerEventSchema = toldBy('type', [...LEDGER_EVENTS, Undone]);

/** Every event of a job. */
export const JobEventSchema = Type.Unsafe<JobEvent>({
  ...toldBy('type', [...JOB_EVENTS, ...LEDGER_EVENTS, Undone]),
  $id: 'JobEvent',
});

agrees<
  Says<ReturnType<typeof toldBy<[...typeof JOB_EVENTS, ...typeof LEDGER_EVENTS, typeof Undone]>>, JobEvent>
>();
