import { beforeEach, expect, it } from 'vitest'

import { forgetVersion, hear, whenOthersChange } from './version'

let times = 0
const at = (version: number, raised = 0) =>
  new Response('', {
    headers: { 'Kitchen-Version': `${version}`, 'Kitchen-Raised': `${raised}` },
  })
beforeEach(() => {
  forgetVersion()
  times = 0
  whenOthersChange(() => (times += 1))
})

it('says so when somebody else has changed something', () => {
  hear(at(7))
  hear(at(7))
  expect(times).toBe(0)
  hear(at(8))
  expect(times).toBe(1)
  hear(at(8))
  expect(times).toBe(1)
})

it('takes a write of its own for what it is, and another beside it for somebody else’s', () => {
  hear(at(7))
  hear(at(8, 1))
  hear(at(11, 3))
  expect(times).toBe(0)
  hear(at(13, 1))
  expect(times).toBe(1)
})

it('is not misled by an answer that comes late, or by one that tells nothing', () => {
  hear(at(7))
  hear(at(9))
  hear(at(8))
  hear(new Response(''))
  hear(at(9))
  expect(times).toBe(1)
})

it('begins anew in another kitchen', () => {
  hear(at(7))
  forgetVersion()
  hear(at(900))
  expect(times).toBe(0)
})
