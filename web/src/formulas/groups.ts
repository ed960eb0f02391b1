/** Formulas by the dessert they are a part of; the group last worked in stands first. */
import type { FormulaBrief } from '../api/types'

export interface Group {
  title: string
  items: FormulaBrief[]
}

export const WITHIN = 'In other formulas'
export const UNUSED = 'Not used yet'

export function groupsOf(formulas: FormulaBrief[], last: string | null): Group[] {
  const by = new Map<string, FormulaBrief[]>()
  const put = (title: string, one: FormulaBrief) => by.set(title, [...(by.get(title) ?? []), one])
  for (const one of formulas) {
    for (const dessert of one.desserts) put(dessert, one)
    if (!one.desserts.length) put(one.within ? WITHIN : UNUSED, one)
  }
  const late = (title: string) => [WITHIN, UNUSED].indexOf(title) + 1
  const rank = ({ title, items }: Group) =>
    items.some((one) => one.id === last) ? -1 : late(title)
  return [...by]
    .map(([title, items]) => ({
      title,
      items: items.sort((a, b) => a.name.localeCompare(b.name, undefined, { numeric: true })),
    }))
    .sort((a, b) => rank(a) - rank(b) || a.title.localeCompare(b.title))
}
