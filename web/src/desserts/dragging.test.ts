import { describe, expect, it } from 'vitest'

import type { PartOf } from '../api/types'
import { type Drag, dragged, snapped } from './dragging'

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
  layers: [
    { key: 'top', formula: 'f', name: '', height_mm: 6 },
    { key: 'low', formula: 'f', name: '', height_mm: 10 },
  ],
}
const fill: PartOf<'fill'> = { key: 'm', rule: 'fill', formula: 'f', name: '', level_mm: null }
const drag = (handle: Drag['handle'], by: number, fine = false): Drag => ({ handle, by, fine })

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
    expect(dragged(base, null, drag('height', 3.3), 45)).toEqual({ ...base, height_mm: 11 })
    expect(dragged(base, null, drag('across', -4), 45)).toEqual({ ...base, across_mm: 176 })
    expect(dragged(heart, 'low', drag('lift', 2.6), 45)).toEqual({ ...heart, lift_mm: 23 })
  })

  it('thickens only the layer that is dragged', () => {
    const thicker = dragged(heart, 'low', drag('height', 2, true), 45) as PartOf<'insert'>
    expect(thicker.layers.map((layer) => layer.height_mm)).toEqual([6, 12])
  })

  it('fills to the rim when dragged to it or beyond', () => {
    expect(dragged(fill, null, drag('level', -5), 45)).toEqual({ ...fill, level_mm: 40 })
    const low = { ...fill, level_mm: 40 }
    expect(dragged(low, null, drag('level', 9), 45)).toEqual(fill)
  })
})
