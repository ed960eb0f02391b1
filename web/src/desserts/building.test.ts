import { describe, expect, it } from 'vitest'

import type { Stage } from '../api/types'
import { cut, mounted, result, solved } from '../testing/kitchen'
import BuildStrip from './BuildStrip.vue'
import StageDrawing from './StageDrawing.vue'
import StageSheet from './StageSheet.vue'

const stage = (title: string, more: Partial<Stage> = {}): Stage => ({
  code: 'base',
  title,
  says: '7 mm, 100 across',
  shows: [0],
  fresh: [0],
  in_mold: true,
  turned: false,
  ahead: [],
  wait: null,
  wait_says: '',
  wait_source: '',
  cold: false,
  parts: [],
  at_service: false,
  aside: false,
  flat: [],
  lowered_mm: 0,
  laid: [],
  ...more,
})
const frozen = stage('Seal', {
  wait_says: 'freeze 20–40 min',
  wait_source: 'common practice',
  cold: true,
})
const lookOf = () => ({ color: '#a5713d', texture: 'crumb' as const })

describe('BuildStrip', () => {
  const strip = (at: number | null = null) =>
    mounted(BuildStrip, {
      stages: [stage('Line'), frozen, stage('Unmold')],
      cut: cut(),
      lookOf,
      at,
    })

  it('shows every stage in order, its wait in frost', () => {
    const buttons = strip().findAll('button')
    expect(buttons.map((one) => one.get('strong').text())).toEqual(['1 Line', '2 Seal', '3 Unmold'])
    expect(buttons[1]?.classes()).toContain('cold')
    expect(buttons[1]?.text()).toContain('freeze 20–40 min')
    expect(buttons[0]?.classes()).not.toContain('cold')
  })

  it('shows one large, and puts it back when pressed again', async () => {
    const wrapper = strip()
    await wrapper.findAll('button')[1]?.trigger('click')
    expect(wrapper.emitted('pick')).toEqual([[1]])
    const shown = strip(1)
    await shown.findAll('button')[1]?.trigger('click')
    expect(shown.emitted('pick')).toEqual([[null]])
  })

  it('is walked with the arrow keys and ends where it ends', async () => {
    const wrapper = strip(1)
    await wrapper.findAll('button')[1]?.trigger('keydown', { key: 'ArrowRight' })
    await wrapper.findAll('button')[2]?.trigger('keydown', { key: 'ArrowRight' })
    await wrapper.findAll('button')[2]?.trigger('keydown', { key: 'Escape' })
    expect(wrapper.emitted('pick')).toEqual([[2], [null]])
  })
})

describe('StageDrawing', () => {
  const paths = (one: Stage) =>
    mounted(StageDrawing, { cut: cut(), stage: one, lookOf })
      .findAll('path')
      .map((path) => path.attributes('d'))

  it('shows what stands and nothing else', () => {
    expect(paths(stage('Base'))[0]).toContain('M-50.0 0.0')
    expect(paths(stage('Line', { shows: [], fresh: [] }))).toHaveLength(2) // mold and board
    expect(paths(stage('Unmold', { in_mold: false }))).toHaveLength(2) // base and board
  })

  it('turns over what is built upside down', () => {
    // The base, on the board as served, is 40 mm above the mold's floor.
    expect(paths(stage('Base', { turned: true }))[0]).toContain('M-50.0 -40.0')
  })
})

describe('StageSheet', () => {
  it('says what is done, what it waits for and who says so', async () => {
    const wrapper = mounted(StageSheet, {
      stage: {
        ...frozen,
        ahead: ['Amber glaze: chill 12–48 h first'],
        laid: [
          { part: 'base', layer: null, pour: null, name: 'Rye base', mass_g: 177, thick_mm: 7 },
        ],
      },
      number: 1,
      of: 3,
      solved: solved([result('base', 'Rye base', 177)]),
      lookOf,
    })
    expect(wrapper.text()).toContain('Then freeze 20–40 min (common practice)')
    expect(wrapper.text()).toContain('Made ahead · Amber glaze: chill 12–48 h first')
    // What it takes of a part is asked why as anywhere.
    const [why, before, next, close] = wrapper.findAll('button')
    expect(why?.text()).toBe('177g')
    expect(wrapper.text()).toContain('7 mm')
    expect(before?.attributes('disabled')).toBeDefined()
    await next?.trigger('click')
    await close?.trigger('click')
    expect(wrapper.emitted('step')).toEqual([[1]])
    expect(wrapper.emitted('close')).toHaveLength(1)
  })
})
