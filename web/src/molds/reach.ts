import type { MoldSketch } from '../api/types'

/** How far a mold reaches from its middle, [mm]: its belly may be wider than its rim. */
export const reachOf = ({ outline, section }: MoldSketch): number =>
  Math.max(...outline.map(([x]) => x), ...section.map(([x]) => x))
