/** Scales of drawings on paper: round ones, at which they stand side by side. */
export const PX_PER_MM = 96 / 25.4
export const MARGINS = { left: 46, right: 58, top: 8, bottom: 32 }
const SCALES = [1, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10, 15, 20]

/** The largest round scale at which drawings so many mm wide and high fit on paper. */
export function roundScale(
  sizes: { width_mm: number; height_mm: number }[],
  paper: { wide: number; high: number },
): number {
  const aside = sizes.length * ((MARGINS.left + MARGINS.right) / PX_PER_MM)
  const wide = sizes.reduce((all, one) => all + one.width_mm, 0)
  const high = Math.max(...sizes.map((one) => one.height_mm))
  const fits = (one: number) => wide / one + aside <= paper.wide && high / one <= paper.high
  return SCALES.find(fits) ?? (SCALES.at(-1) as number)
}
