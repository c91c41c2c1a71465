export { calibrateFlash, expected, type FlashTest, type Refused, TEST_PRINT } from './flash'
export { shown } from './gun'
export { calibrateTunnel, peakIn, type TunnelTest } from './tunnel'
