/** What a drag on the cut changes: pointer distance in mm on the measure it began with. */
import type { Outline, Part, PartOf } from '../api/types'
import { type Chosen, reordered, withLayer } from './parts'

export type Handle = 'height' | 'across' | 'lift' | 'level'

export interface Drag {
  /** 'move' takes hold of a whole insert. */
  handle: Handle | 'move'
  /** Distance the pointer went, outwards or upwards [mm]. */
  by: number
  /** Of a move, how far it went to the right [mm]. */
  aside?: number
  /** Half millimetres instead of whole ones. */
  fine: boolean
}

/** An insert let go this near to the middle is meant to be in the middle [mm]. */
const CATCHES = 1.5

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
  if (drag.handle === 'move') return part.rule === 'insert' ? shifted(part, drag) : part
  if (drag.handle === 'across') return { ...part, across_mm: to(part.across_mm + 2 * drag.by) }
  if (part.rule === 'base') return { ...part, height_mm: to(part.height_mm + drag.by) }
  if (drag.handle === 'lift') return { ...part, lift_mm: to(part.lift_mm + drag.by) }
  const layer = part.layers.find((one) => one.key === layerKey)
  return layer ? withLayer(part, { ...layer, height_mm: to(layer.height_mm + drag.by) }) : part
}

/** An insert moved up and aside, caught by the middle. */
function shifted(part: PartOf<'insert'>, drag: Drag): PartOf<'insert'> {
  const step = drag.fine ? 0.5 : 1
  const round = (mm: number) => Math.round(mm / step) * step
  const offset = round((part.offset_mm ?? 0) + (drag.aside ?? 0))
  const caught = !drag.fine && Math.abs(offset) <= CATCHES && Boolean(drag.aside)
  return {
    ...part,
    lift_mm: Math.max(0, round(part.lift_mm + drag.by)),
    offset_mm: caught ? 0 : offset,
  }
}

export const canReorder = (part: Part | undefined) =>
  part?.rule === 'base' || (part?.rule === 'insert' && part.layers.length > 1)

/** Bases, or the layers of one insert, in the order in which they would stand if the chosen one
 * were let go with its middle at that height. */
export function droppedAt(parts: Part[], chosen: Chosen, atMm: number, section: Outline[]): Part[] {
  const own = parts.find((one) => one.key === chosen.part)
  if (!own || !canReorder(own)) return parts
  const middleOf = (part: string, layer: string | null) => {
    const shape = section.find((one) => one.part === part && one.layer === layer)
    const ys = shape?.loops.flat().map(([, y]) => y) ?? [0]
    return (Math.min(...ys) + Math.max(...ys)) / 2
  }
  const siblings: Chosen[] =
    own.rule === 'insert'
      ? own.layers.map((layer) => ({ part: own.key, layer: layer.key }))
      : parts.filter((one) => one.rule === 'base').map((one) => ({ part: one.key, layer: null }))
  const above = siblings.filter(
    (one) =>
      (one.part !== chosen.part || one.layer !== chosen.layer) &&
      middleOf(one.part, one.layer) > atMm,
  )
  return reordered(parts, chosen, above.length)
}
