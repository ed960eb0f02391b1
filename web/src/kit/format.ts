/** Printing figures. Rounding here is for the eye only; what is weighed was rounded by the server. */

const THIN = '\u202f'

/** '1 430', '53.5', '0.42': whole above a hundred, then as many decimals as say something. */
export function figure(value: number, decimals?: number): string {
  const size = Math.abs(value)
  const places = decimals ?? (size >= 100 ? 0 : size >= 10 ? 1 : 2)
  const text = value.toFixed(places)
  const [whole = '', part] = text.split('.')
  const grouped = whole.replace(/\B(?=(\d{3})+(?!\d))/g, THIN)
  const rest = part?.replace(/0+$/, '')
  return (rest ? `${grouped}.${rest}` : grouped).replace('-', '−')
}

/** Four significant figures, as the workings write them. */
export function significant(value: number): string {
  return Math.abs(value) >= 1000 ? figure(value, 0) : String(Number(value.toPrecision(4)))
}

/** Grams as weighed: as many decimals as the scale has. */
export function weighed(mass: number, step: number): string {
  const places = step >= 1 ? 0 : Math.max(0, Math.ceil(-Math.log10(step)))
  const [whole = '', part] = mass.toFixed(places).split('.')
  const grouped = whole.replace(/\B(?=(\d{3})+(?!\d))/g, THIN)
  return part ? `${grouped}.${part}` : grouped
}

/** A bare number as typed, comma or point; undefined if it is none, or may be a thousand: '1,200'. */
export function typedNumber(text: string): number | undefined {
  if (/^\s*[+-]?[1-9]\d{0,2},\d{3}\s*$/.test(text)) return undefined
  const plain = text.trim().replace(/\s/g, '').replace('−', '-').replace(',', '.')
  if (!/^[+-]?(\d+\.?\d*|\.\d+)$/.test(plain)) return undefined
  return Number(plain)
}

export function clock(iso: string): string {
  return new Date(iso).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })
}

export function dayAndClock(iso: string): string {
  const day = new Date(iso).toLocaleDateString('en-GB', { day: 'numeric', month: 'short' })
  return `${day}, ${clock(iso)}`
}
