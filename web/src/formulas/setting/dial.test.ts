import { describe, expect, it } from 'vitest'

import { asked, fresh, whole } from './demands'
import { onStep, placeOf, valueAt } from './dial'

const BANDS = [
  { name: 'sauces', least: 0.3, most: 0.6 },
  { name: 'pours', least: 0.6, most: 0.92 },
  { name: 'slices', least: 0.92, most: 1.32 },
  { name: 'rolls', least: 1.32, most: 2.4 },
]
const DIAL = { bands: BANDS, step: 0.01 }

describe('the dial', () => {
  it('draws every band equally wide, straight inside', () => {
    expect(placeOf(BANDS, 0.3)).toBe(0)
    expect(placeOf(BANDS, 0.6)).toBeCloseTo(25)
    expect(placeOf(BANDS, 0.76)).toBeCloseTo(37.5)
    expect(placeOf(BANDS, 2.4)).toBe(100)
  })

  it('keeps what is off the dial at its end', () => {
    expect(placeOf(BANDS, -3)).toBe(0)
    expect(placeOf(BANDS, 9)).toBe(100)
    expect(valueAt(DIAL, 140)).toBe(2.4)
    expect(valueAt(DIAL, -5)).toBe(0.3)
  })

  it('reads a place back as the value that stands there, to a step', () => {
    for (const value of [0.35, 0.75, 1.12, 2]) {
      const there = valueAt(DIAL, placeOf(BANDS, value))
      expect(Math.abs(there - value)).toBeLessThanOrEqual(DIAL.step)
    }
  })

  it('stays on its step and on the dial', () => {
    expect(onStep(DIAL, 1.2345)).toBeCloseTo(1.23)
    expect(onStep(DIAL, 7)).toBe(2.4)
  })
})

describe('what is asked of a fit', () => {
  it('leaves out what is not filled in yet', () => {
    const typed = [
      fresh('reads'),
      fresh('reads', { figure: 'fat' }),
      fresh('reads', { figure: 'fat', most: 30 }),
      fresh('uses', { line: 'a' }),
      fresh('locked', { line: 'b' }),
      fresh('proportion', { line: 'a', on: 'b' }),
      fresh('proportion', { line: 'a', on: 'b', least: 0.5 }),
      fresh('finished'),
      fresh('eggs whole'),
    ]
    expect(asked(typed).map((one) => one.kind)).toEqual([
      'reads',
      'locked',
      'proportion',
      'eggs whole',
    ])
    expect(asked(typed)[0]).toMatchObject({ figure: 'fat', least: null, most: 30, line: null })
    expect(typed.filter(whole)).toHaveLength(4)
  })
})
