/** From millimetres to the screen: scale and paths, nothing of the trade. */

type Point = [number, number]
type Loop = Point[]

export interface Frame {
  /** Pixels a millimetre. */
  scale: number
  /** Screen place of the origin. */
  x0: number
  y0: number
  /** Turned over: the height that lies on the board, in mm. */
  turn?: number | undefined
}

export interface Margins {
  left: number
  right: number
  top: number
  bottom: number
}

/** The largest scale at which a drawing of that many mm fits, standing on its lower margin. */
export function fit(
  mm: { width: number; height: number },
  px: { width: number; height: number },
  margins: Margins,
  turn?: number,
): Frame {
  const room = {
    x: Math.max(40, px.width - margins.left - margins.right),
    y: Math.max(30, px.height - margins.top - margins.bottom),
  }
  const scale = Math.min(room.x / Math.max(mm.width, 1), room.y / Math.max(mm.height, 1))
  return { scale, x0: margins.left + room.x / 2, y0: px.height - margins.bottom, turn }
}

/** Height of a picture that uses its whole width, up to the tallest allowed. */
export function heightFor(
  mm: { width: number; height: number },
  width: number,
  margins: Margins,
  tallest: number,
): number {
  const scale = (width - margins.left - margins.right) / Math.max(mm.width, 1)
  return Math.min(tallest, mm.height * scale + margins.top + margins.bottom)
}

export const toX = (frame: Frame, x: number) => frame.x0 + x * frame.scale
export const toY = (frame: Frame, y: number) =>
  frame.y0 - (frame.turn === undefined ? y : frame.turn - y) * frame.scale
/** Upwards on the screen, in mm of the dessert: downwards in it when it is turned over. */
export const upwards = (frame: Frame, mm: number) => (frame.turn === undefined ? mm : -mm)

/** Closed loops as one SVG path; with the even-odd rule a loop inside another is a hole. */
export function loopsPath(loops: Loop[], frame: Frame): string {
  return loops
    .map((loop) => {
      const at = ([x, y]: Point) => `${toX(frame, x).toFixed(1)} ${toY(frame, y).toFixed(1)}`
      return `M${loop.map(at).join('L')}Z`
    })
    .join('')
}

/** Step between ruler marks so that they stand at least `least` pixels apart. */
export function rulerStep(scale: number, least = 34): number {
  return [5, 10, 20, 50, 100, 200].find((step) => step * scale >= least) ?? 500
}

/** Marks from `from` to `to`, both rounded into the range. */
export function marks(from: number, to: number, step: number): number[] {
  const first = Math.ceil(from / step) * step
  const count = Math.floor((to - first) / step) + 1
  return Array.from({ length: Math.max(0, count) }, (_, i) => first + i * step)
}

/** 'full size', or how much smaller or larger than life at 96 pixels an inch. */
export function scaleWords(scale: number): string {
  return `1:1 at ${Math.round((scale / (96 / 25.4)) * 100)} %`
}
