/** Demands as they are typed: half-filled ones are not asked yet. */
import { house } from '../../api/house'
import type { Demand, House } from '../../api/types'

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

export type Words = House['formulas']['demands'][number]
export type Ask = Words['asks'][number]

export const wordsOf = (kind: Kind): Words | undefined =>
  house.value.formulas.demands.find((one) => one.kind === kind)

const SAID: Record<Ask, (one: Typed) => boolean> = {
  figure: (one) => Boolean(one.figure),
  line: (one) => Boolean(one.line),
  on: (one) => Boolean(one.on),
  mass_g: (one) => one.mass_g !== null,
  ends: ended,
}

/** Whether there is enough of it to be asked. */
export const whole = (one: Typed): boolean =>
  wordsOf(one.kind)?.asks.every((what) => SAID[what](one)) ?? false

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
