import type { PlanPoint, Profile, WaterGrid } from '../water';
/**
 * Axes: x downstream, y across the river, z down from the surface; metres, seconds, newtons.
 * Cast angles from straight downstream: 0° is the dangle, 90° square across, above 90° upstream.
 */

export interface SwingWater {
  readonly grid: WaterGrid;
  readonly profile: Profile;
  /** kg/m³ */
  readonly rho: number;
  /** Whether the bed can be touched. */
  readonly bottom: boolean;
  /** Coulomb coefficient of line and fly on the bed. */
  readonly bedFriction: number;
}

/** Values over time, [s, value], straight between and held before and after. */
export type Schedule = readonly (readonly [number, number])[];

/** Where the rod tip is. `path`: [t, x, y, z] with straight lines between, held after. `follow`: on a circle round the
 * angler at the fly's bearing minus the lead (positive lead: the rod is ahead of the fly, nearer the dangle). */
export type Rod =
  | { readonly path: readonly (readonly [number, number, number, number])[] }
  | {
      readonly follow: {
        readonly x0: number;
        readonly y0: number;
        readonly r: number;
        readonly z: number;
        readonly leadDeg: number;
        readonly rateDegS: number;
        /** Steps of the angler downstream since landing, [t, m], straight between, held after. */
        readonly walk?: Schedule;
        /** Height of the tip over time, [t, z], in place of z. */
        readonly heights?: Schedule;
      };
    };

/** A stretch of line, ordered from the rod tip outwards. */
export interface LineSection {
  readonly kind: 'float' | 'sink' | 'leader';
  readonly lengthM: number;
  readonly diameterM: number;
  /** Submerged weight, N/m; negative floats. */
  readonly weightNpm: number;
}

/** Something compact on the line: the fly at its end, a dropper, shot or a float on the leader. */
export interface Body {
  /** Distance from the end of the line, m (0 is the point fly). */
  readonly fromEndM: number;
  /** A fly: what it does at the lies is told. */
  readonly isFly?: boolean;
  /** Height over which it goes from dry to immersed, its middle on the line, m: a ball that floats. Not said: as the line. */
  readonly heightM?: number;
  readonly massInWaterKg: number;
  readonly massKg: number;
  /** Drag area Cd·A, m². */
  readonly dragAreaM2: number;
}

/** What the floating line does under pull: `clean` is held up by buoyancy and surface tension, `free` (dirty) by
 * buoyancy alone, `held` never leaves the surface. */
export type FloatRule = 'clean' | 'free' | 'held';

/** A mend after landing: at `t` the floating line is laid in a bow so that the fly has `slackM` more metres. */
export interface Mend {
  readonly t: number;
  readonly slackM: number;
  /** −1 upstream (the usual), +1 downstream. */
  readonly direction: -1 | 1;
}

/** What hands and rod do once the fly has come round: times from then on. */
export interface HangWork {
  /** It begins when the fly's bearing from the rod tip has come down to this, degrees from straight downstream … */
  readonly bearingDeg: number;
  /** … or when the fly first touches the bed. */
  readonly orTouch: boolean;
  /** [s, x, y, z] of the rod tip, straight from where it is then. */
  readonly rod: readonly (readonly [number, number, number, number])[];
  readonly lineOut: Schedule;
}

export interface SwingCase {
  readonly water: SwingWater;
  readonly rod: Rod;
  readonly line: readonly LineSection[];
  readonly bodies: readonly Body[];
  readonly cast: {
    readonly angleDeg: number;
    /** Slack laid in at landing as a bow of the floating line, m. */
    readonly slackM: number;
    /** −1 (or not said): the bow lies upstream; +1 downstream. */
    readonly bow?: 1 | -1;
    /** To which side the cast goes: +1 towards growing y. */
    readonly side: 1 | -1;
    /** Line and fly lie down with the water's own speed, as they do on a river; not said: at rest, as the command has it. */
    readonly drifts?: boolean;
  };
  readonly drag: { readonly cn: number; readonly cf: number; readonly reDependent: boolean };
  /** Stiffness of the rod's tip, N/m; not said: it gives nothing. */
  readonly tipStiffnessNpm?: number;
  readonly floatRule: FloatRule;
  readonly tEndS: number;
  readonly lies: readonly PlanPoint[];
  /** Line let out (positive) or taken in (negative) since landing, m, as [t, m] with straight lines between. */
  readonly lineOut?: Schedule;
  readonly mends?: readonly Mend[];
  /** How far the rod's tip is moved from where the rod holds it, [s, x, y, z] with straight lines between: a mend by the rod. */
  readonly sway?: readonly (readonly [number, number, number, number])[];
  readonly hangWork?: HangWork;
  /** The fly fishes from then on though it is not tight, s: a drift; not said: from when it is tight. */
  readonly fishesFromS?: number;
  /** Keep the whole line's shape every so many seconds, for drawing; 0 keeps none. */
  readonly keepLineS?: number;
  /** Stop once the fly has gone by every lie: for searches. */
  readonly stopPastLies?: boolean;
  /** Stop this many seconds after the fly reaches the dangle, or drags on the bed (default: run to tEndS). */
  readonly afterDangleS?: number;
}

/** How fine the chain is cut and how hard the steps are driven; see docs/swing.md for the errors of each. */
export interface Numerics {
  readonly tipLinkM: number;
  readonly leaderLinkM: number;
  readonly floatLinkM: number;
  readonly floatLinkMaxM: number;
  readonly growth: number;
  readonly maxStepS: number;
  /** Newton goes on until no node moves more than this, m. */
  readonly acceptM: number;
}

/** The line's shape at one moment: x, y, z of each node from the rod tip outwards. */
export interface LineShape {
  readonly t: number;
  readonly xyz: Float32Array;
}

export interface LiePass {
  readonly t: number;
  readonly depthM: number;
  /** Speed of the fly across the current, m/s. */
  readonly crossSpeedMps: number;
  /** Speed at which the fly rises, m/s; negative sinks. */
  readonly riseMps: number;
  /** Angle between the fly's axis and the current, 0° straight into it, 90° side-on. */
  readonly axisDeg: number;
  /** Nearest distance in plan, m. */
  readonly missM: number;
  /** Where the fly was then, seen from the lie: m further down, m further out. */
  readonly alongM: number;
  readonly acrossM: number;
}

/** What a body other than the point fly does. */
export interface BodyTrack {
  readonly isFly: boolean;
  /** As the fly's own: rows at 10 Hz, as many. */
  readonly series: Float64Array;
  readonly rows: number;
  /** The nearest approach to each lie, and that while the swing fished; empty for what is no fly. */
  readonly lies: readonly LiePass[];
  readonly fished: readonly (LiePass | null)[];
}

/** Why a swing stops fishing: it drags on the bed, it hardly crosses any more, it hangs, or it was followed no further. */
export type FishingEnd = 'bed' | 'slow' | 'hang' | 'end';

/** The part of a swing that fishes: from when the fly is under control until it drags, crawls or hangs. */
export interface FishingPart {
  readonly fromS: number;
  readonly toS: number;
  readonly ends: FishingEnd;
  readonly maxDepthM: number;
  readonly maxDepthS: number;
  readonly meanCrossSpeedMps: number;
  readonly maxCrossSpeedMps: number;
  /** Times that it came down on the bed. */
  readonly touches: number;
}

export interface SwingResult {
  readonly landing: PlanPoint;
  /** Seconds until the rod feels the line (30 mN for half a second), or null. */
  readonly tightAtRodS: number | null;
  /** Seconds until the fly is held against the current (slip of a quarter of it for half a second), or null. */
  readonly tightAtFlyS: number | null;
  readonly maxDepthM: number;
  readonly maxDepthS: number;
  /** First moment within 5° of straight downstream of the rod tip, or null. */
  readonly dangleS: number | null;
  /** Depth 20 s after that, or at the end. */
  readonly dangleDepthM: number;
  readonly meanCrossSpeedMps: number;
  readonly maxCrossSpeedMps: number;
  readonly flyOnBedS: number;
  readonly anyOnBedS: number;
  readonly firstTouchS: number | null;
  readonly lastTouchS: number | null;
  /** When the fly came to rest on the bed before it reached the dangle, or null. */
  readonly groundedS: number | null;
  /** From when on the fly lay on the bed without a break for two seconds and more before the dangle, or null. */
  readonly dragsS: number | null;
  /** From when on a metre of line and more lay on the bed for eight seconds without a break, while the fly fished; or null. */
  readonly lineDragsS: number | null;
  /** For how long, at the longest, the fly had lain on the bed without a break by each row, and a metre of line while it fished, s. */
  readonly flyDownS: Float32Array;
  readonly lineDownS: Float32Array;
  /** When the work at the hang began; null where there is none, or it never came to it. */
  readonly hangWorkS: number | null;
  /** What of it fishes; null when the fly never comes under control before it drags. */
  readonly fishing: FishingPart | null;
  readonly atBearing: Readonly<Record<'45' | '30' | '20' | '10', LiePass | null>>;
  /** The nearest approach to each lie, whatever the fly did then. */
  readonly lies: readonly LiePass[];
  /** The nearest approach to each lie while it fished; null when it did not fish. */
  readonly fished: readonly (LiePass | null)[];
  /** Rows at 10 Hz, columns as in series.ts, row-major; read them with flyAt. */
  readonly series: Float64Array;
  readonly rows: number;
  /** The other bodies, in the order given. */
  readonly others: readonly BodyTrack[];
  readonly lines: readonly LineShape[];
  /** Largest strain met, and the work done. */
  readonly maxStrain: number;
  readonly steps: number;
  readonly newtons: number;
}
