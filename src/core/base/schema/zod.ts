import { z } from 'zod'

// text never becomes code: the content policy of the pages forbids it
z.config({
  jitless: true,
  // where a schema says nothing itself
  customError: (issue) =>
    issue.code === 'too_big' && issue.origin === 'array'
      ? `holds more than ${Number(issue.maximum).toLocaleString('en-US')} entries`
      : undefined,
})

export { z }
