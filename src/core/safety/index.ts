export { CAUTIONS, type CautionPlace, SAFETY } from './definition'
