import { afterEach, describe, expect, it, vi } from 'vitest'

import { json, mounted, serveWith, settled } from '../testing/kitchen'
import HistoryDialog from './HistoryDialog.vue'
import RowList from './RowList.vue'

afterEach(() => {
  vi.unstubAllGlobals()
  document.body.innerHTML = ''
})

const items = [
  { id: '1', name: 'Cream, 35 %' },
  { id: '2', name: 'Crème fraîche' },
  { id: '3', name: 'Dark rum' },
]
const list = (more = {}) =>
  mounted(RowList, {
    items,
    left: 0,
    room: 'pantry',
    shelf: 'ingredients',
    noun: 'ingredient',
    canMake: true,
    ...more,
  })
/** Until the hand rests and the server has said what fits. */
const found = async () => {
  await new Promise((done) => setTimeout(done, 120))
  await settled()
}

describe('RowList', () => {
  it('shows what the server finds, in its order', async () => {
    const asked: string[] = []
    serveWith((request) => {
      const { pathname, searchParams } = new URL(request.url)
      asked.push(`${pathname} ${searchParams.get('q')}`)
      const found = searchParams.get('q') === 'chalk' ? [] : [items[2], items[0]]
      return json(200, { items: found, total: found.length })
    })
    const shelf = list()
    await shelf.get('input').setValue('dark cream')
    await found()
    expect(shelf.findAll('li').map((one) => one.text())).toEqual(['Dark rum', 'Cream, 35 %'])
    await shelf.get('input').setValue('chalk')
    await found()
    expect(shelf.text()).toContain('No ingredient of that name.')
    await shelf.get('input').setValue('')
    expect(shelf.findAll('li')).toHaveLength(3)
    expect(asked).toEqual(['/api/ingredients dark cream', '/api/ingredients chalk'])
  })

  it('says how many more there are, and asks for them', async () => {
    const shelf = list({ left: 12 })
    await shelf.get('.dashed').trigger('click')
    expect(shelf.get('.dashed').text()).toContain('12 more')
    expect(shelf.emitted('more')).toHaveLength(1)
  })

  it('marks the one that is open and links to the others', () => {
    const shelf = list({ id: '2' })
    expect(shelf.get('.chosen').text()).toBe('Crème fraîche')
    expect(shelf.findAll('a').map((one) => one.attributes('href'))).toEqual([
      '/pantry/1',
      '/pantry/2',
      '/pantry/3',
    ])
  })

  it('makes a new one of what was looked for, and none without a name', async () => {
    const shelf = list()
    await shelf.get('input').setValue('Chalk')
    await shelf.get('button.deed').trigger('click')
    const name = shelf.findAll('input')[1]
    expect((name?.element as HTMLInputElement).value).toBe('Chalk')
    await name?.setValue('   ')
    await shelf.get('form').trigger('submit')
    expect(shelf.emitted('make')).toBeUndefined()
    await name?.setValue(' Chalk ')
    await shelf.get('form').trigger('submit')
    expect(shelf.emitted('make')).toEqual([['Chalk']])
  })

  it('offers nothing new to who may not write, and shows a refusal', () => {
    const shelf = list({ canMake: false, error: 'There is already an ingredient named Chalk.' })
    expect(shelf.find('button.deed').exists()).toBe(false)
    expect(shelf.get('[role=alert]').text()).toContain('already')
  })
})

describe('HistoryDialog', () => {
  it('tells who changed what, plain values from what to what', async () => {
    serveWith(() =>
      json(200, {
        total: 2,
        items: [
          {
            at: '2026-03-01T14:02:00Z',
            who: 'Ines Moor',
            action: 'changed',
            revision: 3,
            fields: { weigh_step_g: [1, 0.1], pieces: null, note: ['', 'dry'] },
          },
          { at: '2026-03-01T13:00:00Z', who: null, action: 'created', revision: 1, fields: {} },
        ],
      }),
    )
    mounted(HistoryDialog, { shelf: 'ingredients', id: '1', name: 'Vanilla' })
    await settled()
    const text = document.body.textContent ?? ''
    expect(text).toContain('Ines Moor changed')
    expect(text).toContain('weigh step g: 1 → 0.1')
    expect(text).toContain('note: nothing → dry')
    expect(text).toContain('Somebody created')
  })
})
