import { describe, expect, it } from 'vitest'

import type { DessertEntry, Part } from '../api/types'
import { differences, firstChoices, merged, ORDER } from './merge'

const part = (key: string, height_mm: number): Part => ({
  key,
  rule: 'base',
  formula: 'f',
  name: '',
  height_mm,
  across_mm: 100,
})
const entry = (parts: Part[], more: Partial<DessertEntry> = {}): DessertEntry => ({
  name: 'Reedbed',
  mold: 'm',
  built: 'upright',
  portions: { cut: 'wedges', count: 12 },
  count: 6,
  sizes: [],
  holds: [],
  parts,
  ...more,
})
const base = entry([part('a', 5), part('b', 6), part('c', 7)])
const by = (mine: DessertEntry, theirs: DessertEntry) =>
  Object.fromEntries(differences(base, mine, theirs).map((one) => [one.key, one.by]))
const both = (mine: DessertEntry, theirs: DessertEntry, change = {}) =>
  merged(mine, theirs, { ...firstChoices(differences(base, mine, theirs)), ...change })

describe('differences', () => {
  it('names who changed what, and where one has to choose', () => {
    const mine = entry([part('a', 9), part('b', 1), part('c', 7)], { count: 8 })
    const theirs = entry([part('a', 5), part('b', 2), part('c', 3)], { name: 'Reeds' })
    expect(by(mine, theirs)).toEqual({
      name: 'theirs',
      count: 'mine',
      'part/a': 'mine',
      'part/b': 'both',
      'part/c': 'theirs',
    })
  })

  it('finds none where both did the same', () => {
    const same = entry([part('a', 9), part('b', 6), part('c', 7)])
    expect(differences(base, same, structuredClone(same))).toEqual([])
  })

  it('tells a changed order from changed parts', () => {
    const mine = entry([part('b', 6), part('a', 5), part('c', 7)])
    expect(by(mine, base)).toEqual({ [ORDER]: 'mine' })
  })
})

describe('merged', () => {
  it('takes from each what only they changed', () => {
    const mine = entry([part('a', 9), part('b', 6), part('c', 7)])
    const theirs = entry([part('a', 5), part('b', 6), part('c', 3)], { count: 12 })
    const one = both(mine, theirs)
    expect(one.parts).toEqual([part('a', 9), part('b', 6), part('c', 3)])
    expect(one.count).toBe(12)
  })

  it('keeps mine where both changed it, until one says otherwise', () => {
    const mine = entry([part('a', 9), part('b', 6), part('c', 7)])
    const theirs = entry([part('a', 2), part('b', 6), part('c', 7)])
    expect(both(mine, theirs).parts?.[0]).toEqual(part('a', 9))
    expect(both(mine, theirs, { 'part/a': 'theirs' }).parts?.[0]).toEqual(part('a', 2))
  })

  it('leaves out what either took out, and brings in what either added, in its place', () => {
    const mine = entry([part('a', 5), part('c', 7)])
    const theirs = entry([part('new', 1), ...(base.parts ?? [])])
    expect(both(mine, theirs).parts?.map((one) => one.key)).toEqual(['new', 'a', 'c'])
    // Taken out by me, thinned by them: one has to choose.
    const thinned = entry([part('a', 5), part('b', 1), part('c', 7)])
    expect(by(mine, thinned)['part/b']).toBe('both')
    const kept = both(mine, thinned, { 'part/b': 'theirs' })
    expect(kept.parts?.map((one) => one.key)).toEqual(['a', 'b', 'c'])
  })

  it('is theirs when theirs is chosen throughout, and mine the other way', () => {
    const mine = entry([part('c', 1), part('a', 2)], { name: 'Mine' })
    const theirs = entry([part('b', 8), part('d', 4)], { name: 'Theirs', mold: 'other' })
    const all = differences(base, mine, theirs).map((one) => one.key)
    const side = (wanted: 'mine' | 'theirs') =>
      merged(mine, theirs, Object.fromEntries(all.map((key) => [key, wanted])))
    expect(side('mine')).toEqual(mine)
    expect(side('theirs')).toEqual(theirs)
  })
})
