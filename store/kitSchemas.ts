import Joi from 'joi';
import {
  type Dropper,
  FLY_COLOURS,
  FLY_FAMILY_NAMES,
  FLY_PROFILES,
  FLY_WEIGHT_NAMES,
  type FloatItem,
  type FlyItem,
  OTHER_FLIES,
  type OtherFlyItem,
  HEAD_SHAPES,
  type HeadItem,
  type KitOf,
  type KitType,
  type LeaderItem,
  type LeaderPiece,
  MATERIALS,
  MOTIONS,
  PIECE_PARTS,
  type Rig,
  type RigChoice,
  type RingItem,
  type RodItem,
  RUNNING_KINDS,
  type RunningItem,
  type SetFloat,
  type Shot,
  type ShotItem,
  type SpoolItem,
  TIE_WAYS,
  type TipItem,
} from '@/core/tackle';
import { id, name, oneOf, orNull, shape, text, within } from './shape';

const owned = { id, name, aside: Joi.boolean(), low: Joi.boolean() };
const diameter = within(5e-5, 1e-3);
const strength = within(0.5, 500).optional();

const items: { readonly [T in KitType]: Joi.ObjectSchema<KitOf<T>> } = {
  rod: shape<RodItem>({
    ...owned,
    type: oneOf(['rod']),
    lengthM: within(1.5, 6),
    hands: Joi.number().valid(1, 2).required(),
    switch: Joi.boolean(),
    lineNumber: Joi.number().integer().min(1).max(12).required(),
    windowKg: Joi.array().ordered(within(0.002, 0.08), within(0.002, 0.08)),
  }),
  head: shape<HeadItem>({
    ...owned,
    type: oneOf(['head']),
    shape: oneOf(HEAD_SHAPES),
    lengthM: within(2, 40),
    massKg: within(0.002, 0.08),
    sinkRatesMps: Joi.array().items(within(0, 0.5)).min(1).max(3).required(),
    cutBackM: within(0, 10).optional(),
  }),
  running: shape<RunningItem>({
    ...owned,
    type: oneOf(['running']),
    kind: oneOf(RUNNING_KINDS),
    diameterM: within(2e-4, 2e-3),
  }),
  tip: shape<TipItem>({
    ...owned,
    type: oneOf(['tip']),
    lengthM: within(0.5, 8),
    sinkRateMps: within(0, 0.5),
    tapered: Joi.boolean(),
    massKg: within(1e-4, 0.05).optional(),
  }),
  leader: shape<LeaderItem>({
    ...owned,
    type: oneOf(['leader']),
    pieces: Joi.array()
      .items(
        shape<LeaderPiece>({
          part: oneOf(PIECE_PARTS),
          lengthM: within(0.05, 8),
          diameterM: diameter,
          toDiameterM: diameter.optional(),
          material: oneOf(MATERIALS),
          strengthN: strength,
        }),
      )
      .min(1)
      .max(10)
      .required(),
    nicked: Joi.boolean(),
  }),
  spool: shape<SpoolItem>({
    ...owned,
    type: oneOf(['spool']),
    diameterM: diameter,
    material: oneOf(MATERIALS),
    strengthN: strength,
  }),
  ring: shape<RingItem>({ ...owned, type: oneOf(['ring']), diameterM: within(5e-4, 1e-2) }),
  shot: shape<ShotItem>({ ...owned, type: oneOf(['shot']), massKg: within(1e-5, 0.01) }),
  float: shape<FloatItem>({
    ...owned,
    type: oneOf(['float']),
    diameterM: within(0.004, 0.05),
    massKg: within(1e-5, 0.03),
  }),
  'other fly': shape<OtherFlyItem>({
    ...{ ...owned, type: oneOf(['other fly']), kind: oneOf(OTHER_FLIES), hook: text(20) },
  }),
  fly: shape<FlyItem>({
    ...owned,
    type: oneOf(['fly']),
    family: oneOf(FLY_FAMILY_NAMES),
    called: Joi.string().min(1).max(40),
    colour: oneOf(FLY_COLOURS),
    also: Joi.array()
      .items(shape<NonNullable<FlyItem['also']>[number]>({ colour: oneOf(FLY_COLOURS), share: within(0.01, 0.9) }))
      .max(2),
    flash: Joi.boolean(),
    lengthM: within(0.004, 0.25),
    profile: Joi.valid(...FLY_PROFILES),
    motion: Joi.valid(...MOTIONS),
    hook: text(20),
    hookUp: Joi.boolean(),
    weight: oneOf(FLY_WEIGHT_NAMES),
    beadM: within(0.001, 0.01).optional(),
    barbless: Joi.boolean().required(),
    scented: Joi.boolean(),
    count: Joi.number().integer().min(0).max(1000),
  }),
};

export const kitSchema = Joi.alternatives().conditional('.type', {
  switch: Object.entries(items).map(([type, then]) => ({ is: type, then })),
  otherwise: Joi.object({ type: oneOf(Object.keys(items)) }).unknown(),
});

const hung = { way: oneOf(TIE_WAYS), aboveM: within(0.02, 8), armM: within(0, 1) };
const MOST_DROPPERS = 2;

export const rigSchema = shape<Rig>({
  rod: items.rod.required(),
  head: items.head.required(),
  running: items.running,
  tip: orNull(items.tip.required()),
  leader: items.leader.required(),
  fly: items.fly.required(),
  droppers: Joi.array()
    .items(shape<Dropper>({ fly: items.fly.required(), ...hung }))
    .max(MOST_DROPPERS)
    .required(),
  shot: shape<Shot>({ massKg: within(1e-5, 0.01), aboveFlyM: within(0, 2) }),
  float: shape<SetFloat>({ item: items.float.required(), aboveM: within(0.05, 8) }),
  lineClean: Joi.boolean().required(),
}).required();

const choice = Joi.string().allow('').max(80).required();
export const rigChoiceSchema = shape<RigChoice>({
  rodId: choice,
  headId: choice,
  runningId: choice,
  tipId: choice,
  leaderId: choice,
  flyId: choice,
  droppers: Joi.array()
    .items(shape<RigChoice['droppers'][number]>({ flyId: choice, ...hung }))
    .max(MOST_DROPPERS)
    .required(),
  shotKg: within(0, 0.01).optional(),
  shotAboveM: within(0, 2).optional(),
  floatId: choice,
  floatAboveM: within(0.05, 8).optional(),
  lineClean: Joi.boolean().required(),
});
