/**
 * An inverse-time breaker as a body that warms: dθ/dt = (m² − θ) ÷ τ with m the current in multiples of the rating; it opens
 * when θ reaches a threshold, or at once when the current picks up its magnet. Three of them make the band in which real ones
 * lie: fitted to what UL 489 demands (holds 100 %, opens at 200 % within 2 min up to 30 A) and to usual curves. *Typical*, from
 * memory, low confidence: not of any maker.
 */
export interface BreakerCurve {
  readonly tauS: number;
  /** θ at which it opens; the square root is the least multiple that ever opens it. */
  readonly opensAt: number;
  /** Multiple of the rating at which the magnet opens it. */
  readonly magnet: number;
}

export const CURVES = {
  quick: { tauS: 45, opensAt: 1.21, magnet: 5 },
  usual: { tauS: 80, opensAt: 1.69, magnet: 10 },
  slow: { tauS: 180, opensAt: 1.8, magnet: 15 },
} as const satisfies Record<string, BreakerCurve>;
export type CurveName = keyof typeof CURVES;

/** Warmth after some seconds of a steady multiple. */
export const warmthAfter = (curve: BreakerCurve, warmth: number, multiple: number, seconds: number): number =>
  multiple ** 2 + (warmth - multiple ** 2) * Math.exp(-seconds / curve.tauS);

/** Seconds of a steady multiple until it opens, from a warmth; Infinity when it holds. @example opensAfter(CURVES.usual, 0, 2) // 44 */
export function opensAfter(curve: BreakerCurve, warmth: number, multiple: number): number {
  if (multiple >= curve.magnet) return 0;
  if (warmth >= curve.opensAt) return 0;
  const drive = multiple ** 2;
  if (drive <= curve.opensAt) return Infinity;
  return curve.tauS * Math.log((drive - warmth) / (drive - curve.opensAt));
}
