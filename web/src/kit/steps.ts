/** Undo and redo as pure functions on what came before and after. */

export const MOST_STEPS = 100

export interface Steps<T> {
  past: T[]
  future: T[]
}

export const noSteps = <T>(): Steps<T> => ({ past: [], future: [] })

/** A new step away from `before`; what was undone can no longer be redone. */
export function record<T>(steps: Steps<T>, before: T): Steps<T> {
  return { past: [...steps.past, before].slice(-MOST_STEPS), future: [] }
}

/** One step back from `now`; undefined if there is none. */
export function undo<T>(steps: Steps<T>, now: T): { steps: Steps<T>; then: T } | undefined {
  const then = steps.past.at(-1)
  if (then === undefined) return undefined
  return { steps: { past: steps.past.slice(0, -1), future: [now, ...steps.future] }, then }
}

/** One step forward again from `now`; undefined if there is none. */
export function redo<T>(steps: Steps<T>, now: T): { steps: Steps<T>; then: T } | undefined {
  const [then, ...future] = steps.future
  if (then === undefined) return undefined
  return { steps: { past: [...steps.past, now], future }, then }
}

/** Whether two plain values hold the same, in whatever order their fields stand. */
export function sameData(a: unknown, b: unknown): boolean {
  if (typeof a !== 'object' || typeof b !== 'object' || !a || !b) return a === b
  const one = Object.entries(a)
  const other = b as Record<string, unknown>
  return (
    one.length === Object.keys(other).length &&
    one.every(([key, value]) => key in other && sameData(value, other[key]))
  )
}
