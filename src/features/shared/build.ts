/** The Orzo that runs here, as it is stamped on what it judged (next.config.ts). */
export const BUILD: string = process.env.NEXT_PUBLIC_ORZO_BUILD ?? 'unknown'
