import { describe, expect, it } from 'vitest'

import { MOST_STEPS, noSteps, record, redo, sameData, type Steps, undo } from './steps'

/** Walk through values, recording each step. */
function walked(values: number[]): Steps<number> {
  return values.slice(0, -1).reduce((steps, value) => record(steps, value), noSteps<number>())
}

describe('undo and redo', () => {
  it('goes back to where one came from and forward again', () => {
    const first = undo(walked([1, 2, 3]), 3)
    expect(first?.then).toBe(2)
    const second = first && undo(first.steps, first.then)
    expect(second?.then).toBe(1)
    const again = second && redo(second.steps, second.then)
    expect(again?.then).toBe(2)
    expect(again && redo(again.steps, again.then)?.then).toBe(3)
  })

  it('has nothing before the first and after the last', () => {
    expect(undo(noSteps(), 1)).toBeUndefined()
    expect(redo(walked([1, 2]), 2)).toBeUndefined()
  })

  it('forgets what was undone when something new is done', () => {
    const back = undo(walked([1, 2, 3]), 3)
    const other = back && record(back.steps, back.then)
    expect(other && redo(other, 9)).toBeUndefined()
    expect(other && undo(other, 9)?.then).toBe(2)
  })

  it('keeps a hundred steps', () => {
    const steps = walked(Array.from({ length: 300 }, (_, i) => i))
    expect(steps.past).toHaveLength(MOST_STEPS)
    expect(steps.past.at(-1)).toBe(298)
  })
})

describe('sameData', () => {
  it('does not mind the order of fields, and minds everything else', () => {
    expect(sameData({ a: 1, b: [{ c: null, d: 2 }] }, { b: [{ d: 2, c: null }], a: 1 })).toBe(true)
    expect(sameData({ a: 1 }, { a: 1, b: undefined })).toBe(false)
    expect(sameData([1, 2], [2, 1])).toBe(false)
    expect(sameData({ a: null }, { a: 0 })).toBe(false)
  })
})
