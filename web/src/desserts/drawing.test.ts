import { describe, expect, it } from 'vitest'

import {
  fit,
  heightFor,
  loopsPath,
  marks,
  rulerStep,
  scaleWords,
  toX,
  toY,
  upwards,
} from './drawing'

const margins = { left: 40, right: 60, top: 20, bottom: 30 }

describe('fit', () => {
  it('keeps the whole drawing inside the margins, at one scale for both directions', () => {
    for (const mm of [
      { width: 204, height: 47 },
      { width: 80, height: 55 },
      { width: 574, height: 40 },
    ]) {
      const frame = fit(mm, { width: 700, height: 260 }, margins)
      expect(toX(frame, -mm.width / 2)).toBeGreaterThanOrEqual(40 - 1e-9)
      expect(toX(frame, mm.width / 2)).toBeLessThanOrEqual(640 + 1e-9)
      expect(toY(frame, mm.height)).toBeGreaterThanOrEqual(20 - 1e-9)
      expect(toY(frame, 0)).toBe(230)
    }
  })
})

describe('heightFor', () => {
  it('wastes no height on a flat dessert and stops at the tallest for a high one', () => {
    expect(heightFor({ width: 400, height: 40 }, 500, margins, 380)).toBeCloseTo(40 + 50)
    expect(heightFor({ width: 60, height: 60 }, 700, margins, 380)).toBe(380)
  })
})

describe('loopsPath', () => {
  it('closes every loop and turns y upwards', () => {
    const frame = { scale: 2, x0: 100, y0: 50 }
    const path = loopsPath(
      [
        [
          [0, 0],
          [10, 0],
          [10, 5],
        ],
      ],
      frame,
    )
    expect(path).toBe('M100.0 50.0L120.0 50.0L120.0 40.0Z')
  })
})

describe('rulers', () => {
  it('keeps marks apart and inside', () => {
    expect(rulerStep(3)).toBe(20)
    expect(rulerStep(8)).toBe(5)
    expect(marks(-12, 31, 10)).toEqual([-10, 0, 10, 20, 30])
    expect(marks(1, 9, 10)).toEqual([])
  })

  it('tells the scale against life size', () => {
    expect(scaleWords(96 / 25.4)).toBe('1:1 at 100 %')
  })
})

describe('turned over', () => {
  it('puts the top on the board and drags the other way', () => {
    const frame = fit({ width: 200, height: 45 }, { width: 700, height: 260 }, margins, 45)
    expect(toY(frame, 45)).toBe(230)
    expect(toY(frame, 0)).toBeLessThan(toY(frame, 45))
    expect(upwards(frame, 3)).toBe(-3)
    expect(upwards({ ...frame, turn: undefined }, 3)).toBe(3)
  })
})
