/** What never stands in a report: words of the record, figures that stand for something else, what is still to be done. */
const RAW: readonly RegExp[] = [
  // a key of the record: suctionPressure, swapLiquidDryer
  /\b(?!inHg\b)[a-z]+[A-Z][a-z]\w*\b/,
  // an id: plugged-liquid-dryer is written as words; "not-proven-today", "txv-underfeeding"
  /\b(?:txv|eev|not-proven|not-tested|not-dry|not-recovered|like-for-like|set|log|step|round)-[a-z0-9-]+\b/,
  /1000000000|1e9|undefined|NaN|\[object|null\b/,
]

/** Sentences that tell what to do. The first word of one, or what follows a colon. */
const ORDERS =
  /(?:^|[.:;] )(?:Shut|Watch|Stop(?! limits)|Open|Take|Put|Look|Repeat|Sweep|Replace|Recover|Go on|Pull|Weigh|Let it|Choose|Tick|Enter|Write|Hold it|Start the|End the|Warm|Change|Bleed|Check|Measure|shut the|replace\b|look at|sweep with|start the clock|pull again|end the log)\b/

const found = (patterns: readonly RegExp[], text: string) =>
  patterns.flatMap((pattern) => pattern.exec(text)?.[0] ?? [])

/** Words of the record in a text; none where it is clean. */
export const rawWords = (text: string): string[] => found(RAW, text)

/** What a text tells to be done; none where it tells only what is so. */
export const orders = (text: string): string[] => found([ORDERS], text)
