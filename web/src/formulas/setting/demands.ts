/** Demands as they are typed: half-filled ones are not asked yet. */
import type { Demand } from '../../api/types'

export type Kind = Demand['kind']

export interface Typed {
  id: string
  kind: Kind
  figure: string
  line: string
  on: string
  mass_g: number | null
  least: number | null
  most: number | null
}

export function fresh(kind: Kind, own: Partial<Typed> = {}): Typed {
  const id = crypto.randomUUID().slice(0, 8)
  return { id, kind, figure: '', line: '', on: '', mass_g: null, least: null, most: null, ...own }
}

const ended = (one: Typed) => one.least !== null || one.most !== null

/** Whether there is enough of it to be asked. */
export function whole(one: Typed): boolean {
  if (one.kind === 'reads') return Boolean(one.figure) && ended(one)
  if (one.kind === 'finished') return one.mass_g !== null
  if (one.kind === 'uses') return Boolean(one.line) && one.mass_g !== null
  if (one.kind === 'locked') return Boolean(one.line)
  if (one.kind === 'proportion') return Boolean(one.line && one.on) && ended(one)
  return true
}

/** What goes to the server, in the order it is shown. */
export function asked(typed: Typed[]): Demand[] {
  return typed.filter(whole).map(({ kind, figure, line, on, mass_g, least, most }) => ({
    kind,
    figure,
    line: line || null,
    on: on || null,
    mass_g,
    least,
    most,
  }))
}
