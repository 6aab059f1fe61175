export {
  DOUBTFUL_DECODE,
  isDoubtful,
  replaces,
  SOURCE_MEANING,
  SOURCES,
  type Evidenced,
  type Source,
} from './evidence';
