import { expose } from 'comlink'
import { calibrateFlash, calibrateTunnel, expected, peakIn } from '@/core/heat'

const calibrator = { calibrateFlash, calibrateTunnel, expected, peakIn }
export type Calibrator = typeof calibrator

expose(calibrator)
