// `npm run fit`: asks each yard’s log whether its horses differ from what is assumed, and says what came of it.
import { runServerFile } from './with-server-file.mjs'

await runServerFile('fit.js')
