/** Ingredients pasted as a list. */
import { api, take } from '../api/client'
import type { PastedIngredient } from '../api/types'

/** The list line by line as it is understood; nothing is written. */
export function readIngredients(text: string): Promise<PastedIngredient[]> {
  return take(api.POST('/api/ingredients/read-list', { body: { text } }))
}
