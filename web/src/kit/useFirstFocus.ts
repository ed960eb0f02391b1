/** Where one begins to type when something opens. */
import { nextTick, onMounted, type Ref } from 'vue'

export function useFirstFocus(field: Ref<{ focus: () => void } | null>) {
  onMounted(() => void nextTick(() => field.value?.focus()))
}
