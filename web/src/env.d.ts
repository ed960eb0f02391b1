/// <reference types="vite/client" />

/** Every question and every write that fails does so with what the server said, or with nothing. */
declare module '@tanstack/vue-query' {
  interface Register {
    defaultError: import('./api/client').Problem
  }
}

export {}
