/** `npm start`: serves the shop's own database, empty at first. `-- --port N`, `-- --host H`. */
import { address, build, checkNode, dataFolder, install, serve } from './lib.mjs'

checkNode()
const at = address(process.argv.slice(2))
const folder = dataFolder('data')
install()
build()
await serve(folder, at)
