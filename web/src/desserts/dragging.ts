/** What a drag on the cut changes: pointer distance in mm on the measure it began with. */
import type { Part } from '../api/types'
import { withLayer } from './parts'

export type Handle = 'height' | 'across' | 'lift' | 'level'

export interface Drag {
  handle: Handle
  /** Distance the pointer went, outwards or upwards [mm]. */
  by: number
  /** Half millimetres instead of whole ones. */
  fine: boolean
}

export function handlesOf(part: Part | undefined): Handle[] {
  if (part?.rule === 'base') return ['height', 'across']
  if (part?.rule === 'insert') return ['height', 'across', 'lift']
  return part?.rule === 'fill' ? ['level'] : []
}

/** On the grid of whole or half millimetres, and never nothing. */
export function snapped(value: number, fine: boolean): number {
  const step = fine ? 0.5 : 1
  return Math.max(step, Math.round(value / step) * step)
}

/** The part as the drag leaves it; both edges of a width move, so it grows by twice the way. */
export function dragged(part: Part, layerKey: string | null, drag: Drag, rimMm: number): Part {
  const to = (value: number) => snapped(value, drag.fine)
  if (part.rule === 'fill') {
    const level = to((part.level_mm ?? rimMm) + drag.by)
    return { ...part, level_mm: level >= rimMm ? null : level }
  }
  if (part.rule !== 'base' && part.rule !== 'insert') return part
  if (drag.handle === 'across') return { ...part, across_mm: to(part.across_mm + 2 * drag.by) }
  if (part.rule === 'base') return { ...part, height_mm: to(part.height_mm + drag.by) }
  if (drag.handle === 'lift') return { ...part, lift_mm: to(part.lift_mm + drag.by) }
  const layer = part.layers.find((one) => one.key === layerKey)
  return layer ? withLayer(part, { ...layer, height_mm: to(layer.height_mm + drag.by) }) : part
}
