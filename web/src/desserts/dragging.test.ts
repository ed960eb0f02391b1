import { describe, expect, it } from 'vitest'

import { ruleWords } from '../api/house'
import type { Outline, Part, PartOf } from '../api/types'
import { canReorder, type Drag, dragged, droppedAt, snapped } from './dragging'

const base: PartOf<'base'> = {
  key: 'b',
  rule: 'base',
  formula: 'f',
  name: '',
  height_mm: 8,
  across_mm: 184,
}
const heart: PartOf<'insert'> = {
  key: 'h',
  rule: 'insert',
  name: '',
  across_mm: 160,
  lift_mm: 20,
  offset_mm: 0,
  abreast: 1,
  alike: false,
  layers: [
    { key: 'top', formula: 'f', name: '', height_mm: 6 },
    { key: 'low', formula: 'f', name: '', height_mm: 10 },
  ],
}
const fill: PartOf<'fill'> = {
  key: 'm',
  rule: 'fill',
  formula: 'f',
  name: '',
  level_mm: null,
  shrink_percent: 0,
  waste_percent: 0,
}
/** By the handle of that name that its rule has. */
const drag = (part: Part, name: string, by: number, fine = false): Drag => {
  const handle = ruleWords(part.rule)?.handles.find((one) => one.name === name)
  if (!handle) throw new Error(`${part.rule} has no handle ${name}`)
  return { handle, by, fine }
}

describe('snapped', () => {
  it('stays on whole or half millimetres and never reaches nothing', () => {
    expect(snapped(7.4, false)).toBe(7)
    expect(snapped(7.4, true)).toBe(7.5)
    expect(snapped(-3, false)).toBe(1)
    expect(snapped(0.1, true)).toBe(0.5)
  })
})

describe('dragged', () => {
  it('moves one measure and leaves the rest', () => {
    expect(dragged(base, null, drag(base, 'height', 3.3), 45)).toEqual({ ...base, height_mm: 11 })
    expect(dragged(base, null, drag(base, 'across', -4), 45)).toEqual({ ...base, across_mm: 176 })
    expect(dragged(heart, 'low', drag(heart, 'lift', 2.6), 45)).toEqual({ ...heart, lift_mm: 23 })
  })

  it('thickens only the layer that is dragged', () => {
    const thicker = dragged(heart, 'low', drag(heart, 'height', 2, true), 45) as PartOf<'insert'>
    expect(thicker.layers.map((layer) => layer.height_mm)).toEqual([6, 12])
  })

  it('fills to the rim when dragged to it or beyond', () => {
    expect(dragged(fill, null, drag(fill, 'level', -5), 45)).toEqual({ ...fill, level_mm: 40 })
    const low = { ...fill, level_mm: 40 }
    expect(dragged(low, null, drag(low, 'level', 9), 45)).toEqual(fill)
  })
})

describe('a moved heart', () => {
  const move = (aside: number, by: number, fine = false): Drag => ({
    handle: null,
    by,
    aside,
    fine,
  })
  const moved = (from: PartOf<'insert'>, to: Drag) => {
    const { offset_mm, lift_mm } = dragged(from, null, to, 45) as PartOf<'insert'>
    return [offset_mm, lift_mm]
  }

  it('goes aside and up by whole millimetres, or half ones', () => {
    expect(moved(heart, move(11.6, 2.6))).toEqual([12, 23])
    expect(moved(heart, move(-11.7, 0.2, true))).toEqual([-11.5, 20])
  })

  it('is caught by the middle, unless one wants it just beside', () => {
    expect(moved({ ...heart, offset_mm: 12 }, move(-11.1, 0))).toEqual([0, 20])
    expect(moved(heart, move(1, 0, true))).toEqual([1, 20])
    // Lifted only, it stays where it is.
    expect(moved({ ...heart, offset_mm: 1 }, move(0, 3))).toEqual([1, 23])
  })

  it('does not sink below the board', () => {
    expect(moved(heart, move(0, -40))).toEqual([0, 0])
  })

  it('leaves what is no heart alone', () => {
    expect(dragged(base, null, move(5, 5), 45)).toBe(base)
  })
})

describe('droppedAt', () => {
  const upper = { ...base, key: 'upper' }
  const parts: Part[] = [heart, upper, base]
  const box = (part: string, layer: string | null, low: number, high: number): Outline => ({
    part,
    layer,
    number: 0,
    drawn: 'solid',
    formula: 'f',
    loops: [
      [
        [-50, low],
        [50, low],
        [50, high],
        [-50, high],
      ],
    ],
  })
  const section = [
    box('b', null, 0, 8),
    box('upper', null, 8, 16),
    box('h', 'low', 20, 30),
    box('h', 'top', 30, 36),
  ]
  const order = (next: Part[]) =>
    next.flatMap((one) => (one.rule === 'insert' ? one.layers.map((layer) => layer.key) : one.key))

  it('changes bases when one is carried past the middle of the other', () => {
    const chosen = { part: 'b', layer: null }
    expect(order(droppedAt(parts, chosen, 11, section))).toEqual(['top', 'low', 'upper', 'b'])
    expect(order(droppedAt(parts, chosen, 13, section))).toEqual(['top', 'low', 'b', 'upper'])
  })

  it('changes the layers of a heart among themselves', () => {
    const chosen = { part: 'h', layer: 'low' }
    expect(order(droppedAt(parts, chosen, 34, section))).toEqual(['low', 'top', 'upper', 'b'])
    expect(order(droppedAt(parts, chosen, 2, section))).toEqual(['top', 'low', 'upper', 'b'])
  })

  it('has nothing to do with what stands alone', () => {
    expect(canReorder([fill], { part: 'm', layer: null })).toBe(false)
    const thin = { ...heart, layers: heart.layers.slice(0, 1) }
    expect(canReorder([thin], { part: 'h', layer: 'top' })).toBe(false)
    expect(droppedAt(parts, { part: 'm', layer: null }, 5, section)).toBe(parts)
  })
})
