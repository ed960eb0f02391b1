import type { MoldSketch } from '../api/types'

/** How far a mold reaches from its middle, [mm]: its belly may be wider than its rim. */
export const reachOf = ({ above, section }: MoldSketch): number =>
  Math.max(...[...above, ...section].flat().map(([x]) => x))
