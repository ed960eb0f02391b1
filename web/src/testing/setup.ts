import 'fake-indexeddb/auto'

import { disableAutoUnmount, enableAutoUnmount } from '@vue/test-utils'
import { afterEach, vi } from 'vitest'

/** Every test knows what the product knows of the trade: core's own words, written out. */
import { house } from '../api/house'
import type { House } from '../api/types'
import words from './house.json'

house.value = words as unknown as House

/** Nothing ever comes into view in a page that is not laid out. */
class NeverSeen implements IntersectionObserver {
  root = null
  rootMargin = ''
  thresholds = []
  disconnect() {}
  observe() {}
  unobserve() {}
  takeRecords() {
    return []
  }
}
globalThis.IntersectionObserver = NeverSeen

/** Files share what they import; what one puts on the page or in the browser's place goes with it. */
disableAutoUnmount()
enableAutoUnmount(afterEach)
vi.unstubAllGlobals()
