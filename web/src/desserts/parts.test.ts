import { describe, expect, it } from 'vitest'

import type { Part } from '../api/types'
import { result } from '../testing/kitchen'
import { fieldPath, moved, partRows, placeFor, withNew, without } from './parts'

const glaze: Part = {
  key: 'glaze',
  rule: 'coat',
  formula: 'f1',
  name: '',
  thickness_mm: 2,
  runoff_percent: 30,
  least_pour_g: 0,
  top_only: false,
  dipped: false,
}
const mousse: Part = {
  key: 'mousse',
  rule: 'fill',
  formula: 'f2',
  name: '',
  level_mm: null,
  shrink_percent: 0,
  waste_percent: 0,
}
const heart: Part = {
  key: 'heart',
  rule: 'insert',
  name: '',
  across_mm: 160,
  lift_mm: 20,
  offset_mm: 0,
  abreast: 1,
  alike: false,
  layers: [
    { key: 'a', formula: 'f3', name: '', height_mm: 6 },
    { key: 'b', formula: 'f4', name: '', height_mm: 10 },
  ],
}
const base: Part = {
  key: 'base',
  rule: 'base',
  formula: 'f5',
  name: '',
  height_mm: 8,
  across_mm: 184,
}
const parts = [glaze, mousse, heart, base]
const keys = (list: Part[]) => list.map((part) => part.key)

describe('partRows', () => {
  it('lists layers as rows of their own, from the top down', () => {
    const rows = partRows(parts, [{ ...result('heart', 'Set', 10), layer: 'b', thick_mm: 10 }])
    expect(rows.map((row) => row.layer ?? row.part)).toEqual(['glaze', 'mousse', 'a', 'b', 'base'])
    expect(rows.map((row) => row.thick)).toEqual([null, null, null, 10, null])
    expect(rows[3]?.says).toBe('base · 10 cm')
  })
})

describe('moved', () => {
  it('moves a layer within its insert, and the whole insert at its end', () => {
    const down = moved(parts, { part: 'heart', layer: 'a' }, 1)
    expect(partRows(down, []).map((row) => row.layer ?? row.part)).toEqual([
      'glaze',
      'mousse',
      'b',
      'a',
      'base',
    ])
    expect(keys(moved(parts, { part: 'heart', layer: 'a' }, -1))).toEqual([
      'glaze',
      'heart',
      'mousse',
      'base',
    ])
  })

  it('leaves the first and the last where they are', () => {
    expect(moved(parts, { part: 'glaze', layer: null }, -1)).toBe(parts)
    expect(moved(parts, { part: 'base', layer: null }, 1)).toBe(parts)
  })
})

describe('without', () => {
  it('takes a layer out, and the insert with its last layer', () => {
    const once = without(parts, { part: 'heart', layer: 'a' })
    expect(keys(once)).toEqual(keys(parts))
    expect(keys(without(once, { part: 'heart', layer: 'b' }))).toEqual(['glaze', 'mousse', 'base'])
  })
})

describe('placeFor', () => {
  it('puts a new part where it is seen in the cut', () => {
    expect(keys(withNew([glaze, base], mousse))).toEqual(['glaze', 'mousse', 'base'])
    expect(placeFor([], 'base')).toBe(0)
    expect(keys(withNew(parts, { ...base, key: 'sponge' }))).toEqual([
      'glaze',
      'mousse',
      'heart',
      'sponge',
      'base',
    ])
  })
})

describe('fieldPath', () => {
  it('names fields as the server does', () => {
    const entry = {
      name: 'x',
      mold: 'm',
      built: 'upright' as const,
      sizes: [],
      holds: [],
      parts,
      count: 1,
      portions: null,
    }
    expect(fieldPath(entry, { part: 'base', layer: null })).toBe('parts.3')
    expect(fieldPath(entry, { part: 'heart', layer: 'b' })).toBe('parts.2.layers.1')
  })
})
