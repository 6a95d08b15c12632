/**
 * `npm run bench`: times as ratios against a bare reference in the same run. Each figure is the
 * best of several rounds, so that whatever else the machine does disturbs it least.
 */
import { benchCues } from './cues'
import { benchExchange } from './exchange'
import { benchLight } from './light'
import { benchCells, benchOutput, benchTracking } from './output'
import { benchPaper } from './paper'
import { benchRefocus } from './refocus'
import { benchSending } from './sending'
import { benchRecall, benchShow } from './show'
import { benchSolver } from './solver'
import { benchTravel } from './travel'

benchSolver()
benchShow()
benchRecall()
benchLight()
benchCues()
benchTravel()
benchOutput()
benchCells()
benchTracking()
benchRefocus()
await benchExchange()
await benchPaper()
await benchSending(10)
