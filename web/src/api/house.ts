/** What the product knows of the trade before anything is asked: rules, fields, limits, words. */
import { shallowRef } from 'vue'

import { api, take } from './client'
import { AGAIN_MS } from './again'
import type { FieldWords, House, RuleWords } from './types'

const NO_FIGURES: House['pantry']['states'] = {
  field: '',
  legend: '',
  name_label: '',
  figure: { name: '', label: '', unit: '', least: 0, most: 0, step: 1, empty: '', first: null },
  first_name: '',
  add: '',
}
const NOTHING: House = {
  formulas: {
    kinds: [],
    waits: { kinds: [], first: { kind: 'rest', least_min: 0, placed: false } },
    legs: [],
    slots: {},
    demands: [],
    line: {},
    sets: { name: '', label: '', unit: '', least: 0, most: 0, step: 1, empty: '', first: null },
    wish: [],
    drips: [],
    signs: {},
    measures: {},
  },
  pantry: {
    components: [],
    told: [],
    polyols: [],
    pectins: [],
    statuses: [],
    allergens: {},
    chocolates: {},
    temper: {},
    temper_fields: [],
    eggs: {},
    eggs_left: {},
    stores: {},
    conditions: {},
    densities: [],
    weigh_steps: [],
    states: NO_FIGURES,
    pieces: NO_FIGURES,
  },
  scales: [],
  short_scales: [],
  rules: [],
  ways: [],
  drawn: [],
  forms: [],
  cavities: NO_FIGURES.figure,
  owned: NO_FIGURES.figure,
  held: [],
  mesh_units: [],
  scaling: { keeps: [], sheet: [], trim: [], papers: [], knife: [], covers: [] },
  planning: { vessels: [], fields: [] },
}

/** Empty until it is read, which is once; the same for every kitchen. */
export const house = shallowRef<House>(NOTHING)

/** Read it; asked again until there is an answer. */
export async function readHouse(): Promise<void> {
  try {
    house.value = await take<House>(api.GET('/api/vocabulary'))
  } catch {
    setTimeout(() => void readHouse(), AGAIN_MS)
  }
}

export const ruleWords = (rule: string | undefined): RuleWords | undefined =>
  house.value.rules.find((one) => one.rule === rule)

export const drawnAs = (name: string) => house.value.drawn.find((one) => one.name === name)

/** Words to choose from, each with what it is called. */
export const optionsOf = (words: Record<string, string>) =>
  Object.entries(words).map(([value, label]) => ({ value, label }))

/** The number of an entry that a field names; null where it is left out. */
export function numberAt(entry: object, { name }: Pick<FieldWords, 'name'>): number | null {
  const value: unknown = Reflect.get(entry, name)
  return typeof value === 'number' ? value : null
}
