/** How long to wait before the server is asked again after silence. */
export const AGAIN_MS = 3000
