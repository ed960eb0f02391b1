import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'

import type { Part, PartOf, Portions } from '../api/types'
import { ruleWords } from '../api/house'
import { useWorking } from '../kit/working'
import { cut, finding, formula, mounted, result, settled, solved, worked } from '../testing/kitchen'
import CutDrawing from './CutDrawing.vue'
import DessertTicket from './DessertTicket.vue'
import PartEditor from './PartEditor.vue'
import PartList from './PartList.vue'
import { type Chosen, partRows } from './parts'
import PortionsField from './PortionsField.vue'
import TopDrawing from './TopDrawing.vue'

const { open, close } = useWorking()
beforeEach(close)
afterEach(() => {
  document.body.innerHTML = ''
})

const base: PartOf<'base'> = {
  key: 'base',
  rule: 'base',
  formula: 'f-base',
  name: '',
  height_mm: 10,
  across_mm: 100,
}
const heart: PartOf<'insert'> = {
  key: 'heart',
  rule: 'insert',
  name: '',
  across_mm: 80,
  lift_mm: 14,
  offset_mm: 0,
  abreast: 1,
  alike: false,
  layers: [{ key: 'a', formula: 'f-jelly', name: 'Own name', height_mm: 6 }],
}
const glaze: PartOf<'coat'> = {
  key: 'glaze',
  rule: 'coat',
  formula: 'f-glaze',
  name: '',
  thickness_mm: 2,
  runoff_percent: 30,
  least_pour_g: 600,
  top_only: false,
  dipped: false,
}
const fill: PartOf<'fill'> = {
  key: 'fill',
  rule: 'fill',
  formula: 'f',
  name: '',
  level_mm: null,
  shrink_percent: 0,
  waste_percent: 0,
}
const formulas = ['base', 'jelly', 'glaze'].map((one) => formula(`f-${one}`, `The ${one}`))
const formulaOf = (id: string) => formulas.find((one) => one.id === id)

describe('PartList', () => {
  const list = (chosen: Chosen | null = null, disabled = false) =>
    mounted(PartList, {
      rows: partRows([glaze, heart, base], [result('base', 'The base', 90)]),
      chosen,
      formulaOf,
      disabled,
    })

  it('names parts by themselves or by their formula, with their height', () => {
    const rows = list()
      .findAll('li')
      .map((one) => one.text())
    expect(rows[0]).toContain('The glaze')
    expect(rows[1]).toContain('Own name')
    expect(rows[2]).toContain('The base')
    expect(rows[2]).toContain('10 mm')
  })

  it('is walked with the arrow keys, and moves parts with Alt', async () => {
    const parts = list({ part: 'heart', layer: 'a' })
    const row = parts.get('[data-row="heart/a"]')
    await row.trigger('keydown', { key: 'ArrowDown' })
    expect(parts.emitted('choose')?.at(-1)).toMatchObject([{ part: 'base' }])
    await row.trigger('keydown', { key: 'ArrowUp', altKey: true })
    expect(parts.emitted('move')).toMatchObject([[{ part: 'heart' }, -1]])
  })

  it('takes out with Delete, and not for who may only look', async () => {
    const parts = list()
    await parts.get('[data-row="base/null"]').trigger('keydown', { key: 'Delete' })
    expect(parts.emitted('remove')).toMatchObject([[{ part: 'base' }]])
    const looking = list({ part: 'base', layer: null }, true)
    await looking.get('[data-row="base/null"]').trigger('keydown', { key: 'Delete' })
    expect(looking.emitted('remove')).toBeUndefined()
    expect(looking.text()).not.toContain('Take out')
  })
})

describe('PartEditor', () => {
  const editor = (part: Part, more = {}) =>
    mounted(PartEditor, {
      part,
      layer: null,
      formulaOf,
      errorAt: () => undefined,
      layerErrorAt: () => undefined,
      disabled: false,
      ...more,
    })
  async function commit(wrapper: ReturnType<typeof editor>, at: number, text: string) {
    const field = wrapper.findAll('.field input')[at]
    await field?.setValue(text)
    await field?.trigger('blur')
  }

  it('asks each part for the measures of its own rule', () => {
    const labels = (part: Part, more = {}) =>
      editor(part, more)
        .findAll('.field label')
        .map((one) => one.text())
    expect(labels(base)).toEqual(['Thickness', 'Across'])
    expect(labels(glaze)).toEqual(['Thickness', 'Run-off, saved', 'Least that pours'])
    expect(labels(fill)).toEqual(['Filled to', 'Sinks in the oven', 'Left on the tray'])
    expect(labels(heart, { layer: heart.layers[0] })).toEqual([
      'Thickness',
      'Across',
      'Above the board',
      'Off center',
      'Side by side',
    ])
  })

  it('hands on the part with one measure changed', async () => {
    const wrapper = editor(base)
    await commit(wrapper, 0, '12')
    expect(wrapper.emitted('change')).toEqual([[{ ...base, height_mm: 12 }]])
  })

  it('changes only the layer that is selected', async () => {
    const wrapper = editor(heart, { layer: heart.layers[0] })
    await commit(wrapper, 0, '9')
    await commit(wrapper, 2, '15')
    expect(wrapper.emitted('change')).toMatchObject([
      [{ lift_mm: 14, offset_mm: 0, abreast: 1, alike: false, layers: [{ height_mm: 9 }] }],
      [{ lift_mm: 15, offset_mm: 0, abreast: 1, alike: false, layers: [{ height_mm: 6 }] }],
    ])
  })

  it('fills to the rim when left empty, and refuses an empty thickness', async () => {
    const level = editor({ ...fill, level_mm: 30 })
    await commit(level, 0, '')
    expect(level.emitted('change')).toEqual([[fill]])
    const thick = editor(base)
    await commit(thick, 0, '')
    expect(thick.emitted('change')).toBeUndefined()
    expect(thick.text()).toContain('must be a number of mm')
  })

  it('shows a refusal at its field', () => {
    const errorAt = (field: string) => (field === 'across_mm' ? 'Across must be …' : undefined)
    const wrapper = editor(base, { errorAt })
    expect(wrapper.findAll('.field')[1]?.text()).toContain('Across must be')
    expect(wrapper.findAll('.field')[0]?.text()).not.toContain('must be')
  })

  it('leaves the sides bare when told to', async () => {
    const wrapper = editor(glaze)
    await wrapper.get('input[type=checkbox]').setValue(true)
    expect(wrapper.emitted('change')).toMatchObject([[{ top_only: true }]])
  })
})

describe('DessertTicket', () => {
  const parts = [result('quince', 'Quince, set', 227.6), result('riddle', 'Riddle', null)]
  const ticket = (more = {}) =>
    mounted(DessertTicket, {
      id: '1',
      name: 'Reedbed',
      worked: worked(parts, [finding('quince', 'caution')]),
      count: 6,
      chosen: null,
      disabled: false,
      ...more,
    })

  it('lists what each part takes, and says what is unknown', () => {
    const rows = ticket().findAll('tbody tr')
    expect(rows[0]?.text()).toContain('1\u202f206')
    expect(rows[0]?.text()).toContain('1\u202f366')
    expect(rows[1]?.text()).toContain('unknown')
  })

  it('opens the working of every figure it shows', async () => {
    const wrapper = ticket()
    const opened: (string | undefined)[] = []
    for (const button of wrapper.findAll('button.figure')) {
      await button.trigger('click')
      opened.push(open.value?.figure)
    }
    expect(opened).toEqual([
      'Volume of Quince, set',
      'Quince, set to make',
      'Volume of Riddle',
      'Finished weight',
      'All 6 desserts',
      'Finished height',
      'Exposed surface',
      'Liner strip',
    ])
  })

  it('selects the part a finding is about', async () => {
    const wrapper = ticket()
    await wrapper.get('.finding button').trigger('click')
    expect(wrapper.emitted('choose')).toEqual([[{ part: 'quince', layer: null }]])
  })

  it('says when nothing stands against it', () => {
    expect(ticket({ worked: worked(parts) }).text()).toContain('Nothing stands against it')
  })

  it('asks for how many, and shows why a count is refused', async () => {
    const wrapper = ticket({ countError: 'Count must be at least 1.' })
    expect(wrapper.text()).toContain('at least 1')
    await wrapper.get('.count input').setValue('12')
    await wrapper.get('.count input').trigger('blur')
    expect(wrapper.emitted('count')).toEqual([[12]])
  })

  it('prints a strip in meters', () => {
    const strip = result('band', 'Strip', 24)
    const long = { ...strip, measure: { ...strip.measure, value: 3829.9, unit: 'mm' } }
    expect(
      ticket({ worked: worked([long]) })
        .get('tbody')
        .text(),
    ).toContain('3.83m')
  })
})

describe('PortionsField', () => {
  const field = (portions: Portions) =>
    mounted(PortionsField, {
      portions,
      solved: solved([result('base', 'Base', 1)]),
      ways: [portions, { cut: 'by weight', portion_g: 113 }],
      errorAt: () => undefined,
      disabled: false,
    })

  it('counts wedges of a ring, and columns and rows of a frame', async () => {
    const ring = field({ cut: 'wedges', count: 12 })
    await ring.get('.field input').setValue('10')
    await ring.get('.field input').trigger('blur')
    expect(ring.emitted('change')).toEqual([[{ cut: 'wedges', count: 10 }]])
    const frame = field({ cut: 'grid', columns: 6, rows: 4 })
    await frame.findAll('.field input')[1]?.setValue('3')
    await frame.findAll('.field input')[1]?.trigger('blur')
    expect(frame.emitted('change')).toEqual([[{ cut: 'grid', columns: 6, rows: 3 }]])
    expect(frame.findAll('.field label').map((one) => one.text())).toEqual(['Along', 'Across'])
  })
})

describe('CutDrawing', () => {
  beforeAll(() => {
    vi.stubGlobal(
      'ResizeObserver',
      class {
        constructor(private seen: (entries: object[]) => void) {}
        observe() {
          this.seen([{ contentRect: { width: 590, height: 300 } }])
        }
        unobserve() {}
        disconnect() {}
      },
    )
  })
  const drawing = async (chosen: Chosen | null) => {
    const wrapper = mounted(CutDrawing, {
      cut: cut(),
      chosen,
      lookOf: () => ({ color: '#a5713d', texture: 'crumb' }),
      nameOf: () => 'Rye base, by volume',
      handles: chosen ? ruleWords('base')?.handles : [],
      movable: () => true,
      reorderable: false,
      turned: false,
      words: ['Rye base, 10 mm.'],
    })
    await settled()
    return wrapper
  }

  it('draws every part as something that can be selected by pointer and key', async () => {
    const wrapper = await drawing(null)
    const part = wrapper.get('path.part')
    expect(part.attributes()).toMatchObject({
      role: 'button',
      tabindex: '0',
      'aria-label': 'Rye base, by volume',
    })
    await part.trigger('click')
    await part.trigger('keydown', { key: 'Enter' })
    await part.trigger('keydown', { key: ' ' })
    expect(wrapper.emitted('choose')).toHaveLength(3)
    expect(wrapper.emitted('choose')?.[0]).toEqual([{ part: 'base', layer: null }])
  })

  it('shows the gap to the wall of what is selected, and that it is short', async () => {
    expect((await drawing(null)).find('.own').exists()).toBe(false)
    const chosen = await drawing({ part: 'base', layer: null })
    expect(chosen.findAll('.dimension.own')).toHaveLength(2)
    expect(chosen.get('.dimension.own.short').text()).toBe('10')
  })

  it('hands on what is dragged in millimetres, and nudges by the keys', async () => {
    const wrapper = await drawing({ part: 'base', layer: null })
    // 480 pixels for 120 mm: four a millimetre.
    const handle = wrapper.get('.handle.height')
    Object.assign(handle.element, { setPointerCapture: () => undefined })
    const at = (clientY: number, type: string) =>
      handle.element.dispatchEvent(
        Object.assign(new Event(type, { cancelable: true }), {
          clientX: 0,
          clientY,
          pointerId: 1,
          shiftKey: false,
        }),
      )
    at(100, 'pointerdown')
    at(88, 'pointermove')
    at(84, 'pointerup')
    await handle.trigger('keydown', { key: 'ArrowUp' })
    await wrapper.get('.handle.across').trigger('keydown', { key: 'ArrowLeft', shiftKey: true })
    expect(wrapper.emitted('drag')).toMatchObject([
      [{ handle: { name: 'height' }, by: 3, fine: false }, false],
      [{ handle: { name: 'height' }, by: 4, fine: false }, true],
      [{ handle: { name: 'height' }, by: 1, fine: false }, true],
      [{ handle: { name: 'across' }, by: -0.25, fine: true }, true],
    ])
  })
})

describe('TopDrawing', () => {
  it('draws edge and cuts, and tells how many', () => {
    const lookOf = () => ({ color: '#8a3d12', texture: 'liquid' })
    const svg = mounted(TopDrawing, { cut: cut(), lookOf })
    expect(svg.attributes('aria-label')).toBe('From above: 1 cuts')
    expect(svg.findAll('.knife')).toHaveLength(1)
  })
})
