import { enableAutoUnmount } from '@vue/test-utils'
import { afterEach, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'

import { ingredient, json, mounted, serveWith, settled } from '../testing/kitchen'
import { useRows, useWrites } from './shelves'

enableAutoUnmount(afterEach)
afterEach(() => vi.unstubAllGlobals())

it('shows a new row even where the list was asked for before it and comes after', async () => {
  const [agar, medlar] = [ingredient('a', 'Agar'), ingredient('m', 'Medlar paste')]
  const late: ((answer: Response) => void)[] = []
  let lists = 0
  serveWith((request) => {
    if (request.method === 'POST') return json(201, medlar)
    lists += 1
    if (lists > 1) return json(200, { items: [agar, medlar], total: 2 })
    return new Promise<Response>((answer) => late.push(answer))
  })
  const Pantry = defineComponent(() => {
    const { rows } = useRows('ingredients')
    const { create } = useWrites('ingredients')
    const add = () => create.mutateAsync({ name: 'Medlar paste' } as never)
    return () => h('button', { onClick: add }, rows.value.map((one) => one.name).join(', '))
  })
  const wrapper = mounted(Pantry)
  await settled()
  await wrapper.get('button').trigger('click')
  await settled()
  late.forEach((answer) => answer(json(200, { items: [agar], total: 1 })))
  await settled()
  expect(wrapper.text()).toBe('Agar, Medlar paste')
})
