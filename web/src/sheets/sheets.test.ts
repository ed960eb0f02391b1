import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'

import type { MadeFormula } from '../api/types'
import { useWorking } from '../kit/working'
import { sheetPage } from '../testing/kitchen'
import { columnsOf, spans } from './columns'
import FormulaSheet from './FormulaSheet.vue'
import { type Measured, paged } from './paging'
import { roundScale } from './scale'

const { open, close } = useWorking()
beforeEach(close)

const tall = (height: number): Measured => ({
  frame: 20,
  lines: [height - 20],
  steps: [],
  abreast: false,
})
/** The same sheets in letters a fifth larger, as they are, and a fifth smaller. */
const sizes = (sheets: Measured[]) =>
  [1.2, 1, 0.8].map((by) =>
    sheets.map((one) => ({
      ...one,
      frame: one.frame * by,
      lines: one.lines.map((line) => line * by),
      steps: one.steps.map((step) => step * by),
    })),
  )
const on = (sheets: Measured[], room = 1000) => paged(sizes(sheets), 1, room)

describe('pages', () => {
  it('takes as few as go, as evenly full as go, in order', () => {
    const pages = on([300, 300, 300, 200].map(tall))
    // The first three would go on the first page and leave 200 on the second.
    expect(pages.map((one) => one.slices.map(({ sheet }) => sheet))).toEqual([
      [0, 1],
      [2, 3],
    ])
    expect(on([400, 400, 200].map(tall))).toHaveLength(1)
  })

  it('writes larger where there is room and smaller where a sheet needs all of it', () => {
    expect(on([tall(500)])[0]?.letters).toBe(0)
    expect(on([tall(900)])[0]?.letters).toBe(1)
    const pages = on([tall(300), tall(1200)])
    expect(pages.map((one) => one.letters)).toEqual([0, 2])
  })

  it('tears what is longer than a page between its lines and steps, and loses none', () => {
    for (const abreast of [true, false]) {
      const long = { frame: 40, lines: Array(30).fill(50), steps: Array(25).fill(90), abreast }
      const pages = on([tall(300), long, tall(300)])
      const slices = pages.flatMap((one) => one.slices).filter((one) => one.sheet === 1)
      for (const of of ['lines', 'steps'] as const) {
        expect(slices[0]?.[of][0]).toBe(0)
        expect(slices.at(-1)?.[of][1]).toBe(long[of].length)
        slices.slice(1).forEach((one, i) => expect(one[of][0]).toBe(slices[i]?.[of][1]))
      }
      for (const { lines, steps } of slices) {
        const [a, b] = [50 * 0.8 * (lines[1] - lines[0]), 90 * 0.8 * (steps[1] - steps[0])]
        expect(32 + (abreast ? Math.max(a, b) : a + b)).toBeLessThanOrEqual(1000)
      }
    }
  })

  it('ends even with a line that is taller than the paper', () => {
    const pages = on([{ frame: 0, lines: [5000, 5000], steps: [5000], abreast: false }])
    expect(pages).toHaveLength(3)
    expect(paged([[]], 0, 1000)).toEqual([])
  })
})

describe('columns', () => {
  const batch = (grams: number): MadeFormula['batches'][number] => ({
    wanted_g: grams,
    made_g: grams,
    weighed_g: grams,
    vessels: ['pot'],
    feeds: [{ name: 'Reedbed', count: 3, first: 1 }],
    lines: { a: grams, b: 1 },
    kitchen: { b: '1 × yolk, M' },
  })
  const made = (...grams: number[]): MadeFormula => ({
    page: sheetPage(),
    batches: grams.map(batch),
    limit: 'pot takes 5 000 ml: it boils up',
    way: '',
    left_g: 12,
    sets_min: null,
  })

  it('puts batches that weigh the same in one, wherever they come', () => {
    const found = columnsOf([5, 5, 6, 5].map(batch))
    expect(found.map((one) => one.title)).toEqual(['batches 1–2, 4', 'batch 3'])
    expect(spans([1, 2, 3, 7, 9, 10])).toBe('1–3, 7, 9–10')
  })

  it('stand side by side on the sheet, each with its ticks and its measures', () => {
    const sheet = mount(FormulaSheet, {
      props: { page: sheetPage(), made: made(600, 592), number: 5 },
    })
    const rows = sheet.findAll('tbody tr')
    expect(rows).toHaveLength(2)
    expect(rows[0]?.findAll('.grams').map((one) => one.text())).toEqual(['600', '592'])
    expect(rows[1]?.text()).toContain('1 × yolk, M')
    expect(sheet.findAll('.tick')).toHaveLength(4)
    const text = sheet.text()
    for (const said of ['batch 1', 'batch 2', '3 × Reedbed', 'it boils up', '12 g are left over']) {
      expect(text).toContain(said)
    }
  })
})

describe('more batches than stand side by side', () => {
  it('go on below, every line named again, and are torn where a line ends', () => {
    const batches = [601, 602, 603, 604, 605, 606, 607].map((grams) => ({
      wanted_g: grams,
      made_g: grams,
      weighed_g: grams,
      vessels: [],
      feeds: [],
      lines: { a: grams, b: 1 },
      kitchen: {},
    }))
    const made = { page: sheetPage(), batches, limit: '', way: '', left_g: 0, sets_min: null }
    const whole = mount(FormulaSheet, { props: { page: sheetPage(), made } })
    const tables = whole.findAll('table')
    expect(tables.map((one) => one.findAll('thead th').length)).toEqual([5, 2])
    expect(whole.findAll('[data-line]')).toHaveLength(4)
    const rest = mount(FormulaSheet, {
      props: { page: sheetPage(), made, lines: [3, 4], steps: [0, 2] },
    })
    expect(rest.findAll('[data-line]')).toHaveLength(1)
    expect(rest.get('[data-line]').text()).toContain('Egg yolk')
    expect(rest.text()).toContain('607')
  })
})

describe('a formula sheet', () => {
  const sheet = (more: Record<string, unknown> = {}) =>
    mount(FormulaSheet, { props: { page: sheetPage(), number: 5, ...more } })

  it('shows grams as the scale weighs them, pieces beside, what it is for', () => {
    const rows = sheet().findAll('tbody tr')
    expect(rows[0]?.text()).toContain('1\u202f192')
    expect(rows[1]?.text()).toContain('16.7')
    expect(rows[1]?.text()).toContain('0.9 × yolk, M')
    expect(sheet().text()).toContain('Quince heart 1\u202f366 g')
  })

  it('has no arithmetic of rounding on it; the working is a press away', async () => {
    const one = sheet()
    expect(one.text()).not.toMatch(/0\.41|rounding|× 2\.38/)
    const opened = []
    for (const button of one.findAll('button')) {
      await button.trigger('click')
      opened.push(open.value?.figure)
    }
    expect(opened).toEqual(['Quince purée', 'Egg yolk', 'Counted: yolk, M', 'Weighed in all'])
  })

  it('tells how hot, how long and what it waits for, or that there is no method', () => {
    expect(sheet().findAll('ol li')).toHaveLength(2)
    expect(sheet().text()).toContain('100 °C · 2 min')
    expect(sheet().text()).toContain('freeze 2–4 h')
    const bare = sheet({ page: { ...sheetPage(), method: [] } })
    expect(bare.text()).toContain('No method written yet')
  })

  it('goes on where it was torn, steps counted on', () => {
    const rest = sheet({ lines: [2, 2], steps: [1, 2] })
    expect(rest.find('table').exists()).toBe(false)
    expect(rest.text()).toContain('continued')
    expect(rest.findAll('ol li')[0]?.text()).toContain('2Pour 10 mm.')
  })
})

describe('the scale of a cut', () => {
  it('is round and fits the paper, for one or three side by side', () => {
    const ring = (width_mm: number) => ({ width_mm, height_mm: 50 })
    expect(roundScale([ring(200)], { wide: 128, high: 62 })).toBe(2)
    expect(roundScale([ring(40)], { wide: 128, high: 62 })).toBe(1)
    // (200 + 160) / 5 and twice 27.5 mm of rulers are 127 mm.
    expect(roundScale([ring(200), ring(160)], { wide: 128, high: 62 })).toBe(5)
  })
})
