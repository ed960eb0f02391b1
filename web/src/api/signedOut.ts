/** Whether the session ended while one was at work: what was done waits until one is back. */
import { ref } from 'vue'

export const signedOut = ref(false)
