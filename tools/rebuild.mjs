// `npm run rebuild`: works every track out again from its answers, and says which were stored otherwise.
import { runServerFile } from './with-server-file.mjs'

await runServerFile('rebuild.js')
