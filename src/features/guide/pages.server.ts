import 'server-only';
import { appContext } from '../../db/appContext';
import { articleView, chipLearnt, chipMet } from './article.server';

// What the pages ask of this area, on the context of this server.

export const loadArticle = (id: string) => articleView(appContext().db.read, id);

export const loadChipMet = (family: string) => chipMet(appContext().db.read, family);

export const loadChipLearnt = (family: string) => chipLearnt(appContext().db.read, family);
