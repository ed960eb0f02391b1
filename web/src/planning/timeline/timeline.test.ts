import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

import type { Board } from '../../api/types'
import { json, mounted, serveWith, settled, working } from '../../testing/kitchen'
import { byLane, FOLDED_PX, heightOf, inkOn, layOut, minuteAt, momentOf, wallAt, yOf } from './axis'
import ConflictCard from './ConflictCard.vue'
import HandList from './HandList.vue'
import TaskCard from './TaskCard.vue'
import TimelineView from './TimelineView.vue'
afterEach(() => {
  vi.unstubAllGlobals()
  document.body.innerHTML = ''
})

const STRETCHES = [
  { since_min: 960, until_min: 1320, folded: false, says: '' },
  { since_min: 1320, until_min: 1920, folded: true, says: 'night' },
  { since_min: 1920, until_min: 2655, folded: false, says: '' },
]

describe('the axis of a board', () => {
  const laid = layOut(STRETCHES, 60)

  it('gives an hour its pixels and folds the night', () => {
    expect(heightOf(laid)).toBe(360 + FOLDED_PX + 735)
    expect(yOf(laid, 960)).toBe(0)
    expect(yOf(laid, 1020)).toBe(60)
    expect(yOf(laid, 1920)).toBe(360 + FOLDED_PX)
    expect(yOf(laid, 9999)).toBe(heightOf(laid))
    expect(yOf(laid, 0)).toBe(0)
  })

  it('finds the minute of a pixel on the five minutes a kitchen plans in', () => {
    for (const minute of [960, 1005, 1320, 1925, 2650]) {
      expect(minuteAt(laid, yOf(laid, minute))).toBe(minute)
    }
    expect(minuteAt(laid, 61)).toBe(1020)
    expect(minuteAt(laid, -50)).toBe(960)
  })

  it('says the hour on the wall from the hours that are told, over a changed clock too', () => {
    const ticks = [
      { at_min: 960, says: '16:00', day: 'Sat' },
      { at_min: 1860, says: '08:00', day: 'Sun' },
    ]
    expect(wallAt(ticks, 985)).toBe('16:25')
    expect(wallAt(ticks, 1870)).toBe('08:10')
    expect(wallAt(ticks, 950)).toBe('15:50')
    expect(momentOf('2026-03-28T00:00:00Z', 985)).toBe('2026-03-28T16:25:00.000Z')
  })

  it('is read on every color', () => {
    expect(inkOn('#472b20')).toBe('#ffffff')
    expect(inkOn('#f3e6c4')).toBe('#000000')
  })

  it('sorts what there is into its lanes', () => {
    const every = [{ lane: 'a' }, { lane: 'b' }, { lane: 'a' }]
    expect(byLane(every).get('a')).toHaveLength(2)
  })
})

const bar = {
  task: 't',
  lane: 'p',
  track: 0,
  since_min: 960,
  until_min: 985,
  title: 'Amber caramel: cook',
  says: '25 min',
  hours: 'Sun 16:00–16:25',
  sort: 'make',
  formula: 'f',
  line: '',
  heat_c: null,
  amount: 1,
  latest: '16:40',
  held: false,
  mark: null,
  steps: ['Dissolve the sugar.'],
}
const board = {
  stretches: STRETCHES,
  ticks: [],
  lanes: [
    { key: 'p', title: 'Ottilie', says: 'chef', kind: 'person', tracks: 1 },
    { key: 's', title: 'Stove', says: '1 of 4 rings', kind: 'stove', tracks: 1 },
  ],
  bars: [bar, { ...bar, lane: 's' }],
  stays: [],
  others: [],
  services: [],
  pulls: [],
  first: '',
  hands: '',
  hands_why: working('Hands in all', 25, '25 = 25'),
  last_hour: '',
  tight: [],
} as Board

describe('TaskCard', () => {
  const card = (more: Partial<typeof bar> = {}, disabled = false) =>
    mounted(TaskCard, {
      board: { ...board, bars: [{ ...bar, ...more } as Board['bars'][number]] },
      task: 't',
      looks: {},
      held: false,
      disabled,
    })

  it('says when, by whom, and how late it may be', () => {
    const text = mounted(TaskCard, {
      board,
      task: 't',
      looks: {},
      held: false,
      disabled: false,
    }).text()
    expect(text).toContain('Sun 16:00–16:25 Ottilie, Stove, 25 min')
    expect(text).toContain('Not begun after 16:40.')
    expect(card({ latest: '' }).text()).toContain('what waits for it is late')
  })

  it('is held and marked by its buttons', async () => {
    const wrapper = card()
    const press = async (name: string) =>
      wrapper
        .findAll('button')
        .find((one) => one.text() === name)
        ?.trigger('click')
    await press('Hold it here')
    await press('Done')
    await press('15 min late')
    expect(wrapper.emitted('hold')).toEqual([[{}]])
    expect(wrapper.emitted('mark')).toEqual([['done'], ['late']])
  })

  it('lets an apprentice read', () => {
    expect(card({}, true).findAll('button')).toHaveLength(0)
  })
})

describe('ConflictCard', () => {
  it('names the demands, what fits, and what is not enough', async () => {
    const way = { says: 'Another freezer', first: 'Sun 16:35', timing: {}, lines: {} }
    const wrapper = mounted(ConflictCard, {
      conflict: {
        demands: [{ kind: 'place', says: 'Freezer, 60 l' }],
        least: true,
        ways: [way],
        tried: ['One more cook'],
      } as never,
      busy: false,
      disabled: false,
    })
    expect(wrapper.text()).toContain('Freezer, 60 l')
    expect(wrapper.text()).toContain('give up any one, and the others go together')
    expect(wrapper.text()).toContain('first hands Sun 16:35')
    expect(wrapper.text()).toContain('not enough: One more cook')
    await wrapper.get('button').trigger('click')
    expect(wrapper.emitted('take')).toEqual([[way]])
  })

  it('says that nothing helps only when all was tried', async () => {
    const conflict = { demands: [], least: true, ways: [], tried: [] } as never
    const wrapper = mounted(ConflictCard, { conflict, busy: true, disabled: false })
    expect(wrapper.text()).toContain('Trying ways out')
    expect(wrapper.text()).not.toContain('Nothing that was tried')
    await wrapper.setProps({ busy: false })
    expect(wrapper.text()).toContain('Nothing that was tried is enough')
    expect(wrapper.text()).not.toContain('Trying ways out')
  })
})

describe('TimelineView', () => {
  beforeEach(() =>
    vi.stubGlobal(
      'ResizeObserver',
      class {
        observe() {}
        unobserve() {}
        disconnect() {}
      },
    ),
  )
  afterEach(() => vi.unstubAllGlobals())
  const clashing = {
    ...board,
    bars: board.bars.map((one) => ({ ...one, title: 'As if there were room' })),
  }
  const conflict = {
    ...{ demands: [], least: true, left_out: 'Stove, 4 rings' },
    board: clashing,
    clashes: [{ lane: 's', since_min: 960, until_min: 985, says: '5 of 4 rings' }],
  }
  const view = (before: Board | null) =>
    mounted(TimelineView, {
      timeline: {
        ...{ state: 'done', fresh: true, now_min: null },
        result: { board: before, looks: {}, moved: [], reached: [], told: [], conflict },
      } as never,
      ...{ busy: false, asking: false, refused: '', picked: null, disabled: false },
    })

  it('draws a conflict where it is, as if one demand were not asked', () => {
    const text = view(null).text()
    expect(text).toContain('as if this were not asked: Stove, 4 rings')
    expect(text).toContain('5 of 4 rings')
    expect(text).not.toContain('The plan before')
  })

  it('has the plan before beside it, where nothing clashes', async () => {
    const wrapper = view(board)
    expect(wrapper.text()).toContain('As if there were room')
    await wrapper.get('[aria-label="What is drawn"] button:last-child').trigger('click')
    expect(wrapper.text()).not.toContain('As if there were room')
    expect(wrapper.text()).not.toContain('5 of 4 rings')
    expect(wrapper.text()).toContain('Amber caramel')
  })
})

describe('HandList', () => {
  it('says who is in, and takes somebody off for an order', async () => {
    const row = {
      ...{ id: 'h', name: 'Bram', revision: 1, archived: false, changed_at: '', changed_by: null },
      ...{ skill: 2, comes: '08:30', leaves: '21:30', weekdays: [0, 1] },
    }
    const sent: unknown[] = []
    serveWith(async (request) => {
      if (request.method === 'PUT') sent.push(await request.json())
      return json(200, request.method === 'GET' ? { items: [row], total: 1 } : row)
    })
    localStorage.setItem('fernbell.fold.plan.hands', 'open')
    const wrapper = mounted(HandList, { disabled: false, off: [] })
    await settled()
    await wrapper.get('input[type=checkbox]').setValue(false)
    expect(wrapper.emitted('off')).toEqual([['h', true]])
    await wrapper.get('[aria-label="Days of Bram"] button:last-child').trigger('click')
    await settled()
    expect(sent).toEqual([
      {
        revision: 1,
        data: { name: 'Bram', skill: 2, comes: '08:30', leaves: '21:30', weekdays: [0, 1, 6] },
      },
    ])
  })
})
