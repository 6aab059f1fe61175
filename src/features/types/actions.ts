'use server';

import { z } from 'zod';
import { appContext, contextFor } from '../../db/appContext';
import { readForm } from '../../ui/form/fieldSchemas';
import type { FormOutcome } from '../../ui/form/outcome';
import { aliasForm, mergeForm, typeForm, typeRatingForm } from './schema';
import {
  addAlias,
  addType,
  amendType,
  detachDatasheet,
  removeType,
  mergeType,
  rateType,
  splitType,
  unrateType,
} from './commands';

// Arguments arrive from the browser: each is held against its schema before it is used.
const key = z.string().min(1).max(64);

export async function addTypeAction(data: FormData): Promise<FormOutcome> {
  const form = readForm(typeForm, data);
  return form.ok ? addType(appContext(), form.values) : form;
}

export async function amendTypeAction(id: string, data: FormData): Promise<FormOutcome> {
  const form = readForm(typeForm, data);
  return form.ok ? amendType(contextFor(data), key.parse(id), form.values) : form;
}

export async function rateTypeAction(id: string, data: FormData): Promise<FormOutcome> {
  const form = readForm(typeRatingForm, data);
  return form.ok ? rateType(contextFor(data), key.parse(id), form.values) : form;
}

export async function unrateTypeAction(id: string, name: string): Promise<FormOutcome> {
  return unrateType(appContext(), key.parse(id), key.parse(name));
}

export async function addAliasAction(id: string, data: FormData): Promise<FormOutcome> {
  const form = readForm(aliasForm, data);
  return form.ok ? addAlias(appContext(), key.parse(id), form.values.name) : form;
}

export async function mergeTypeAction(id: string, data: FormData): Promise<FormOutcome> {
  const form = readForm(mergeForm, data);
  return form.ok ? mergeType(appContext(), key.parse(id), form.values.name) : form;
}

export async function splitTypeAction(id: string, aliasId: string): Promise<FormOutcome> {
  return splitType(appContext(), key.parse(id), key.parse(aliasId));
}

export async function removeTypeAction(id: string): Promise<FormOutcome> {
  return removeType(appContext(), key.parse(id));
}

export async function detachDatasheetAction(sheetId: string): Promise<FormOutcome> {
  return detachDatasheet(appContext(), key.parse(sheetId));
}
