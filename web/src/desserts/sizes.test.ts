import { describe, expect, it } from 'vitest'

import type { DessertEntry, Part, WorkedOut } from '../api/types'
import { worked } from '../testing/kitchen'
import { editOf, FIRST, viewOf, withoutSize } from './sizes'

const own: Part = {
  key: 'base',
  rule: 'base',
  formula: 'f',
  name: '',
  height_mm: 8,
  across_mm: 184,
}
const small = { ...own, across_mm: 64 }
const draft: DessertEntry = {
  name: 'Reedbed',
  mold: 'ring-20',
  built: 'upright',
  parts: [own],
  portions: { cut: 'wedges', count: 12 },
  count: 6,
  sizes: [{ key: 's', mold: 'ring-8', count: 12 }],
  holds: [],
}
const answer: WorkedOut = {
  ...worked([]),
  key: 's',
  parts: [small],
  portions: { cut: 'wedges', count: 1 },
}

describe('viewOf', () => {
  it('is the draft itself for its own size', () => {
    expect(viewOf(draft, FIRST, answer)).toBe(draft)
  })

  it('shows a size that follows as it was worked out', () => {
    expect(viewOf(draft, 's', answer)).toMatchObject({
      name: 'Reedbed',
      mold: 'ring-8',
      count: 12,
      parts: [small],
      portions: { count: 1 },
    })
  })

  it('shows a size drawn on its own as it is drawn, whatever was worked out', () => {
    const thick = { ...small, height_mm: 20 }
    const alone = { ...draft, sizes: [{ key: 's', mold: 'ring-8', count: 12, parts: [thick] }] }
    expect(viewOf(alone, 's', answer).parts).toEqual([thick])
  })

  it('takes nothing from the answer for another size', () => {
    expect(viewOf(draft, 's', { ...answer, key: 'other' }).parts).toEqual([])
  })
})

describe('editOf', () => {
  it('changes the dessert where its own size is seen', () => {
    expect(editOf(draft, FIRST, { count: 8 })).toEqual({ count: 8 })
  })

  it('puts parts, mold, count and portions of a size into the size', () => {
    expect(editOf(draft, 's', { parts: [small], count: 24 })).toEqual({
      sizes: [{ key: 's', mold: 'ring-8', count: 24, parts: [small] }],
    })
  })

  it('leaves name and building to the dessert, whatever size is seen', () => {
    const change = editOf(draft, 's', { name: 'Reeds', built: 'upside down' })
    expect(change).toMatchObject({ name: 'Reeds', built: 'upside down' })
    expect(change.parts).toBeUndefined()
  })

  it('takes a new list of sizes as it is', () => {
    expect(editOf(draft, 's', { sizes: withoutSize(draft, 's') })).toEqual({ sizes: [] })
  })
})
