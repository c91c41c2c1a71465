export { type Calibrated, calibrateFlash, expected, type FlashTest, type Refused, TEST_PRINT } from './flash'
export { GUN_SET, INK_GIVES, shown, truly } from './gun'
export { calibrateTunnel, peakIn, type TunnelCalibrated, type TunnelTest } from './tunnel'
