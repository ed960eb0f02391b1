/** Every test knows what the product knows of the trade: core's own words, written out. */
import { house } from '../api/house'
import type { House } from '../api/types'
import words from './house.json'

house.value = words as House
