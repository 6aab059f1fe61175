export {
  UNCERTAIN_DECODE,
  isUncertain,
  replaces,
  SOURCE_MEANING,
  SOURCES,
  type Evidenced,
  type Source,
} from './evidence';
export { PRACTICE, practice } from './practice';
