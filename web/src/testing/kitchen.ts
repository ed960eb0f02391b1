/** A small kitchen for tests of components: rows as the server sends them, and a server. */
import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { vi } from 'vitest'
import type { Component } from 'vue'
import { createMemoryHistory, createRouter } from 'vue-router'

import type {
  Cut,
  Finding,
  FormulaBrief,
  Ingredient,
  IngredientBrief,
  LineChoice,
  PartResult,
  ReadLine,
  SheetPage,
  Solved,
  Step,
  WorkedOut,
  Working,
} from '../api/types'

const row = { revision: 1, archived: false, changed_at: '2026-03-01T14:02:00Z', changed_by: 'Ines' }

export const working = (figure: string, value: number, unit = 'g', more: Partial<Working> = {}) =>
  ({
    figure,
    value,
    unit,
    given: [{ name: 'volume', value: 201.06, unit: 'ml' }],
    law: 'mass = volume × density',
    arithmetic: `201.1 × 1.132 = ${value} ${unit}`,
    source: 'mass balance, exact',
    steps: [],
    ...more,
  }) as Working

export const formula = (id: string, name: string, kind = 'mousse'): FormulaBrief => ({
  ...row,
  id,
  name,
  kind,
  flavor: 'barley',
  color: '',
  does: 'fill',
  batch_g: 500,
  desserts: [],
  within: false,
})

/** An ingredient as it stands alone; it serves as one of the list too. */
export const ingredient = (
  id: string,
  name: string,
  density: number | null = 1,
): Ingredient & IngredientBrief => ({
  ...row,
  id,
  name,
  density_g_ml: density,
  cup_density_g_ml: null,
  weigh_step_g: 1,
  pieces: [],
  states: [],
  egg: null,
  make_up: null,
  make_up_source: '',
  make_up_status: null,
  allergens: null,
  chocolate: null,
  packs: [],
  keeping: [],
  note: '',
  other_names: [],
  shared: {},
  usual_for: [],
  brings: { shares: {}, unknown: 1 },
  used_by: [],
  price_per_kg: null,
  counted: '',
  made_up: false,
})

/** One thing a typed line may be. */
export const choice = (id: string, name: string, more: Partial<LineChoice> = {}): LineChoice => ({
  id,
  name,
  is_formula: false,
  mass_g: 250,
  measure: '',
  lacks: '',
  wants_amount: false,
  called: '',
  soaked: 0,
  ...more,
})

/** A line as it was understood. */
export const readLine = (text: string, more: Partial<ReadLine> = {}): ReadLine => ({
  text,
  name: text.split(' ').at(-1) ?? '',
  note: '',
  certain: null,
  choices: [],
  asks: '',
  weighs_g: 250,
  far: false,
  ...more,
})

export const step = (text: string, more: Partial<Step> = {}): Step => ({
  text,
  stage: '',
  tool: '',
  sign: '',
  caution: '',
  then: [],
  alike: '',
  ...more,
})

export const result = (part: string, name: string, grams: number | null): PartResult => ({
  part,
  layer: null,
  name,
  formula: `f-${part}`,
  goes_by: 'by volume',
  says: 'base · 10 cm',
  thick_mm: 10,
  measure: working(`Volume of ${name}`, 1206.4, 'ml'),
  volume: working(`Volume of ${name}`, 201.06, 'ml'),
  mass: grams === null ? null : working(`${name} in one dessert`, grams),
  make: grams === null ? null : working(`${name} to make`, grams * 6),
  pours: [],
  served_share: 1,
})

/** A cut of one base of 100 x 10 mm in a mold of 120 x 40. */
export const cut = (): Cut => ({
  width_mm: 120,
  height_mm: 40,
  mold_width_mm: 120,
  rim_mm: 40,
  level_mm: 40,
  mold: [
    [
      [-60, 0],
      [60, 0],
      [60, 40],
      [-60, 40],
    ],
  ],
  section: [
    {
      part: 'base',
      layer: null,
      number: 0,
      drawn: 'solid',
      formula: 'f-base',
      loops: [
        [
          [-50, 0],
          [50, 0],
          [50, 10],
          [-50, 10],
        ],
      ],
    },
  ],
  dimensions: [
    {
      part: 'base',
      layer: null,
      what: 'height',
      start: [50, 0],
      end: [50, 10],
      value_mm: 10,
      short: false,
    },
    {
      part: 'base',
      layer: null,
      what: 'side',
      start: [-60, 5],
      end: [-50, 5],
      value_mm: 10,
      short: true,
    },
  ],
  views: [],
  top: {
    edge: [
      [60, 0],
      [0, 60],
      [-60, 0],
      [0, -60],
    ],
    skin: 'f-base',
    hidden: [],
    cuts: [
      [
        [0, 0],
        [0, 60],
      ],
    ],
    portion: [],
    garnish: [],
    holes: [],
  },
})

export const solved = (parts: PartResult[], findings: Finding[] = []): Solved => ({
  count: 6,
  holds: [],
  parts,
  finished: working('Finished weight', 1351),
  finished_all: working('All 6 desserts', 8106),
  height: working('Finished height', 47, 'mm'),
  surface: working('Exposed surface', 597, 'cm²'),
  liner: working('Liner strip', 638, 'mm'),
  portions: 12,
  portion: working('One portion', 113),
  findings,
  cut: cut(),
  division: { cut: 'wedges', count: 12 },
  division_working: null,
  stages: [],
  words: ['Cut through the middle.'],
})

/** One size worked out, which is the whole order. */
export const worked = (parts: PartResult[], findings: Finding[] = []): WorkedOut => ({
  key: '',
  shape: { form: 'ring', diameter_mm: 200, height_mm: 45 },
  parts: [],
  portions: { cut: 'wedges', count: 12 },
  expects: ['base', 'fill'],
  mold_says: 'Ring Ø 200 × 45 mm',
  ways: [
    { cut: 'wedges', count: 12 },
    { cut: 'by weight', portion_g: 113 },
  ],
  solved: solved(parts, findings),
  sizes: [
    {
      key: '',
      mold_name: 'Ring 20',
      says: 'Ø 20 cm',
      count: 6,
      trays: null,
      wrong: false,
    },
  ],
  takes: [],
})

export const finding = (part: string | null, severity: Finding['severity']): Finding => ({
  code: 'insert-near-wall',
  severity,
  message: 'Quince is 5 mm from the wall.',
  why: 'It shows through.',
  remedy: 'Freeze it 160 mm across.',
  source: 'common practice',
  part,
  formula: null,
})

export const sheetPage = (): SheetPage => ({
  sheet: {
    formula: 'f-quince',
    name: 'Quince, set',
    factor: 2.384,
    finished_g: 1365.9,
    batch_g: 1513.7,
    drift_g: -0.41,
    drift_percent: -0.027,
    spare_g: 0,
    eggs: null,
    uses: [{ purpose: 'Quince heart', mass_g: 1365.9 }],
    own_finished: working('Quince, finished', 572.8),
    lines: [
      {
        key: 'a',
        name: 'Quince purée',
        formula: null,
        own_g: 500,
        exact_g: 1192.2,
        mass_g: 1192,
        step_g: 1,
        percent: 100,
        overrun_percent: 0,
        stage: '',
        pieces: [],
      },
      {
        key: 'b',
        name: 'Egg yolk',
        formula: null,
        own_g: 7,
        exact_g: 16.69,
        mass_g: 16.7,
        step_g: 0.1,
        percent: 1.4,
        overrun_percent: 0,
        stage: '',
        pieces: [['yolk, M', 0.93]],
      },
    ],
  },
  size: working('Size of the sheet', 2.384, '× the formula'),
  batch: working('Weighed in all', 1513.7),
  kind: 'fruit',
  flavor: 'quince',
  color: '',
  method: [step('Boil 2 min.'), step('Pour 10 mm.')],
  told: ['100 °C · 2 min', ''],
  waits: ['', 'freeze 2–4 h'],
  workings: { a: working('Quince purée', 1192), b: working('Egg yolk', 16.7) },
  notes: {},
  kitchen: { b: { text: '0.9 × yolk, M', working: working('Counted: yolk, M', 0.93, '×') } },
})

export const json = (status: number, body: unknown) =>
  new Response(status === 204 ? null : JSON.stringify(body), {
    status,
    headers: { 'Content-Type': 'application/json' },
  })

export type Serve = (request: Request) => Response | Promise<Response>

/** Answer what the page asks for. */
export function serveWith(serve: Serve) {
  vi.stubGlobal('fetch', async (request: Request) => serve(request))
}

/** Mounted with queries and routes, as in the application. */
export function mounted<C extends Component>(component: C, props: Record<string, unknown> = {}) {
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/:rest(.*)*', component: { template: '<div />' } }],
  })
  const queryClient = new QueryClient({ defaultOptions: { queries: { retry: false } } })
  return mount(component as Component, {
    props,
    attachTo: document.body,
    global: { plugins: [[VueQueryPlugin, { queryClient }], router] },
  })
}

/** Until everything asked for has been answered and shown. */
export async function settled() {
  for (let i = 0; i < 8; i += 1) {
    await flushPromises()
    await new Promise((done) => setTimeout(done, 1))
  }
}
