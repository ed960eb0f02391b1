/** Which measures a part has, in the order they are asked for. */
import type { Layer, Part } from '../api/types'

export interface Measure {
  field: string
  label: string
  unit?: string
  step?: number
  /** Left empty it means what the placeholder says. */
  empty?: string
}

const thickness = { field: 'height_mm', label: 'Thickness', unit: 'mm' }
const across = { field: 'across_mm', label: 'Across', unit: 'mm' }
const film = { field: 'thickness_mm', label: 'Thickness', unit: 'mm', step: 0.5 }

const offCenter = { field: 'offset_mm', label: 'Off center', unit: 'mm' }

export const LAYER_MEASURES: Measure[] = [thickness]

export const MEASURES: Record<Part['rule'], Measure[]> = {
  base: [thickness, across],
  insert: [across, { field: 'lift_mm', label: 'Above the board', unit: 'mm' }, offCenter],
  fill: [{ field: 'level_mm', label: 'Filled to', unit: 'mm', empty: 'the rim' }],
  coat: [
    film,
    { field: 'runoff_percent', label: 'Run-off, saved', unit: '%', step: 5 },
    { field: 'least_pour_g', label: 'Least that pours', unit: 'g', step: 50 },
  ],
  band: [
    { field: 'height_mm', label: 'Height', unit: 'mm' },
    film,
    { field: 'overlap_mm', label: 'Overlap', unit: 'mm' },
  ],
  garnish: [
    { field: 'pieces_per_portion', label: 'Pieces a portion', step: 0.5 },
    { field: 'piece_g', label: 'One piece', unit: 'g', step: 0.5 },
  ],
}

export function valueOf(of: Part | Layer, field: string): number | null {
  const value = (of as unknown as Record<string, unknown>)[field]
  return typeof value === 'number' ? value : null
}
