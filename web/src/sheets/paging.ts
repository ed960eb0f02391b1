/** Sheets onto pages: in their order, on as few as go, evenly full, in the largest letters that fit. */

/** Heights of a sheet's own frame and of what may be torn apart, in one size of letters. */
export interface Measured {
  frame: number
  lines: number[]
  steps: number[]
  /** Lines and steps stand side by side. */
  abreast: boolean
}

export type Range = [from: number, to: number]
export interface Slice {
  sheet: number
  lines: Range
  steps: Range
}
export interface PageOf {
  letters: number
  slices: Slice[]
}
interface Piece {
  slice: Slice
  /** By size of letters; null where it is on no page in that one. */
  heights: (number | null)[]
}

const sum = (all: number[]) => all.reduce((a, b) => a + b, 0)
const whole = (one: Measured) => {
  const [lines, steps] = [sum(one.lines), sum(one.steps)]
  return one.frame + (one.abreast ? Math.max(lines, steps) : lines + steps)
}

/** Up to where a column goes from a place, at least so many further. */
function reach(heights: number[], from: number, room: number, atLeast: number): number {
  let used = 0
  const over = heights.slice(from).findIndex((height, i) => {
    used += height
    return used > room && i >= atLeast
  })
  return over < 0 ? heights.length : from + over
}

/** What is longer than a page, torn where a line or a step ends. */
function torn(sheet: number, one: Measured, room: number): Slice[] {
  const slices: Slice[] = []
  const inner = room - one.frame
  let [line, step] = [0, 0]
  while (line < one.lines.length || step < one.steps.length) {
    // Whatever its height, a line goes onto each page, or a step, so that it ends.
    const some = line < one.lines.length ? 1 : 0
    const toLine = reach(one.lines, line, inner, some)
    const left = one.abreast ? inner : inner - sum(one.lines.slice(line, toLine))
    // Steps wait for the last line, unless they stand beside it.
    const may = one.abreast || toLine === one.lines.length
    const toStep = may ? reach(one.steps, step, left, 1 - some) : step
    slices.push({ sheet, lines: [line, toLine], steps: [step, toStep] })
    ;[line, step] = [toLine, toStep]
  }
  return slices
}

function piecesOf(sheet: number, sizes: Measured[], room: number): Piece[] {
  const heights = sizes.map((one) => (whole(one) <= room ? whole(one) : null))
  const small = sizes.at(-1)
  if (!small) return []
  if (heights.some((one) => one !== null)) {
    const all: Slice = { sheet, lines: [0, small.lines.length], steps: [0, small.steps.length] }
    return [{ slice: all, heights }]
  }
  return torn(sheet, small, room).map((slice) => ({
    slice,
    heights: sizes.map((one) => (one === small ? room : null)),
  }))
}

interface Way {
  pages: number
  cost: number
  ends: number[]
}

/** Where each page ends: as few pages as go, of those ways the most even one. */
function evenly(heights: number[], room: number): number[] {
  const best: Way[] = [{ pages: 0, cost: 0, ends: [] }]
  heights.forEach((_, last) => {
    const ways: Way[] = []
    let used = 0
    for (const from of [...best.keys()].reverse()) {
      used += heights[from] ?? 0
      if (used > room && from < last) break
      const { pages, cost, ends } = best[from] as Way
      ways.push({ pages: pages + 1, cost: cost + (room - used) ** 2, ends: [...ends, last + 1] })
    }
    ways.sort((a, b) => a.pages - b.pages || a.cost - b.cost)
    best.push(ways[0] as Way)
  })
  return best.at(-1)?.ends ?? []
}

/**
 * Sheets on pages. `measured` is by size of letters, the largest first, then by sheet; `usual` is
 * the size by which pages are shared out.
 */
export function paged(measured: Measured[][], usual: number, room: number): PageOf[] {
  const number = measured[0]?.length ?? 0
  const pieces = Array.from({ length: number }, (_, sheet) =>
    piecesOf(
      sheet,
      measured.flatMap((size) => size[sheet] ?? []),
      room,
    ),
  ).flat()
  const heights = pieces.map((one) => one.heights[usual] ?? room)
  let from = 0
  return evenly(heights, room).map((to) => {
    const on = pieces.slice(from, to)
    from = to
    const letters = measured.findIndex(
      (_, size) => sum(on.map((one) => one.heights[size] ?? Infinity)) <= room,
    )
    return { letters, slices: on.map((one) => one.slice) }
  })
}
