/** What the routes take and give. Each stands in a test. */
export const ROUTE_LIMITS = {
  /** bytes of a body: a job is ten million characters at most, most of them one byte */
  bodyBytes: 10_000_000,
  /** time for a body to arrive, ms: ten million bytes over a slow line */
  bodyTime: 30_000,
  /** threads that compute: a core is left for the server itself */
  threads: (cores: number): number => Math.min(Math.max(cores - 1, 1), 4),
  /** questions that wait for a thread, of everybody */
  waiting: 16,
  /** questions of one client that wait or are computed */
  ofOneClient: 8,
  /** time of one answer, ms; a job with 200 sets took 9 s [measured] */
  answerTime: 60_000,
  /** memory of one thread, megabytes; a job with 200 sets took 250 [measured] */
  threadMemory: 768,
  /** a thread that has nothing to do ends after this time, ms, and gives its memory back */
  idleTime: 10_000,
  /** seconds after which one who was sent away may ask again */
  retryAfter: 10,
} as const
