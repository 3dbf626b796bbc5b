import { z } from 'zod'

// said before any schema is made: none may write code at run time, which the policy of the pages forbids
z.config({ jitless: true })

export { z }
