import 'fake-indexeddb/auto'
import { runData } from './workload'

console.log(JSON.stringify(await runData(), null, 2))
