export { articleById, ARTICLES, type GuideArticle, type GuideLine, type Met } from './articles';
export { searchGuide, type GuideHit } from './search';
