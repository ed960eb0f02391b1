/** What a drag on the cut changes: pointer distance in mm on the measure it began with. */
import { numberAt, ruleWords } from '../api/house'
import type { HandleWords, Outline, Part } from '../api/types'
import { type Chosen, isLayered, reordered, sameChoice, siblings, withLayer } from './parts'

export interface Drag {
  /** Null takes hold of the whole part. */
  handle: HandleWords | null
  /** Distance the pointer went, outwards or upwards [mm]. */
  by: number
  /** Of a part taken hold of, how far it went to the right [mm]. */
  aside?: number
  /** Half millimetres instead of whole ones. */
  fine: boolean
}

const stepOf = (fine: boolean) => (fine ? 0.5 : 1)
const round = (value: number, step: number) => Math.round(value / step) * step

/** On the grid of whole or half millimetres, and never nothing. */
export function snapped(value: number, fine: boolean): number {
  return Math.max(stepOf(fine), round(value, stepOf(fine)))
}

/** The part as the drag leaves it; an empty measure begins at the rim. */
export function dragged(part: Part, layerKey: string | null, drag: Drag, rimMm: number): Part {
  const { handle, fine } = drag
  if (!handle) return carried(part, drag)
  const layer = isLayered(part) ? part.layers.find((one) => one.key === layerKey) : undefined
  const held = handle.of_layer ? layer : part
  if (!held) return part
  const from = numberAt(held, { name: handle.field }) ?? rimMm
  const to = snapped(from + handle.times * drag.by, fine)
  const changed = { [handle.field]: handle.empty_at_rim && to >= rimMm ? null : to }
  if (handle.of_layer && isLayered(part) && layer) return withLayer(part, { ...layer, ...changed })
  return { ...part, ...changed } as Part
}

/** A part moved up and aside, caught by the middle. */
function carried(part: Part, drag: Drag): Part {
  const words = ruleWords(part.rule)?.carried
  if (!words) return part
  const step = stepOf(drag.fine)
  const at = (name: string) => numberAt(part, { name }) ?? 0
  const aside = round(at(words.aside) + (drag.aside ?? 0), step)
  const caught = !drag.fine && Math.abs(aside) <= words.caught_mm && Boolean(drag.aside)
  return {
    ...part,
    [words.up]: Math.max(0, round(at(words.up) + drag.by, step)),
    [words.aside]: caught ? 0 : aside,
  } as Part
}

export const canReorder = (parts: Part[], chosen: Chosen) => siblings(parts, chosen).length > 1

/** Parts as they would stand if the chosen one were let go with its middle at that height. */
export function droppedAt(parts: Part[], chosen: Chosen, atMm: number, section: Outline[]): Part[] {
  if (!canReorder(parts, chosen)) return parts
  const middleOf = (one: Chosen) => {
    const shape = section.find((found) => sameChoice(one, found))
    const ys = shape?.loops.flat().map(([, y]) => y) ?? [0]
    return (Math.min(...ys) + Math.max(...ys)) / 2
  }
  const above = siblings(parts, chosen).filter(
    (one) => !sameChoice(chosen, one) && middleOf(one) > atMm,
  )
  return reordered(parts, chosen, above.length)
}
