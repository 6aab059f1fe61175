export type { GuideArticle, GuideLine, Met } from './article';
export { articleById, ARTICLES } from './articles';
export { searchGuide, type GuideHit } from './search';
