import '@fontsource-variable/atkinson-hyperlegible-next/index.css'
import '@fontsource-variable/bricolage-grotesque/index.css'
import './shell/tokens.css'
import './shell/base.css'

import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { createApp } from 'vue'

import { Problem } from './api/client'
import { AGAIN_MS } from './api/again'
import { whenBack } from './api/away'
import { readHouse } from './api/house'
import { whenOthersChange } from './api/version'
import App from './App.vue'
import { router } from './shell/routes'

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 15_000,
      // What nobody looks at goes; the browser keeps the answer, and asks whether it still holds.
      gcTime: 30_000,
      // A refusal stays a refusal; only silence is worth asking again.
      retry: (count, error) => count < 2 && error instanceof Problem && error.isSilence,
      // What found nobody there is asked again until somebody is.
      refetchInterval: ({ state: { error } }) =>
        error instanceof Problem && error.isSilence ? AGAIN_MS : false,
    },
  },
})

/** Who one is does not change with what others do. */
whenOthersChange(
  () => void queries.invalidateQueries({ predicate: (one) => one.queryKey[0] !== 'session' }),
)
/** What stood in while nobody answered is asked for anew. */
whenBack(() => void queries.invalidateQueries())
void readHouse()
if ('serviceWorker' in navigator) void navigator.serviceWorker.register('/sw.js')
createApp(App).use(VueQueryPlugin, { queryClient: queries }).use(router).mount('#app')
