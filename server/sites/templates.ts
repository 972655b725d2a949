import { isDeepStrictEqual } from 'node:util';
import { and, asc, eq, inArray } from 'drizzle-orm';
import { z } from 'zod';
import { type Plan, revisionNameSchema } from '../../core/plan/plan';
import { database } from '../../db/client';
import { plans, templates } from '../../db/schema';
import { checked, RequestRefused } from '../errors';
import { note } from '../people/audit';
import { permitted, permittedSite, sitesOf, type Who } from '../people/may';
import { checkedId, idSchema, noSuchPlan } from '../plan-id';
import { storedPlan } from '../stored-plan';

const MOST = 100;
const LISTED = 200;
const templateSchema = z.strictObject({ id: idSchema, name: revisionNameSchema, planId: idSchema });

/** Keeps a line as a template of its site: its plan, with a routine that is not begun, and without its log. */
export async function saveTemplate(who: Who, siteId: string, input: unknown): Promise<{ id: string }> {
  const site = await permittedSite(who, 'plan', siteId);
  const { id, name, planId } = checked(templateSchema, input);
  const [line] = await database()
    .select({ siteId: plans.siteId, document: plans.document })
    .from(plans)
    .where(eq(plans.id, await permitted(who, 'read', planId)));
  if (line?.siteId !== site) throw noSuchPlan();
  const plan = storedPlan(line.document);
  const document: Plan = { ...plan, routine: { ...plan.routine, startedOn: null } };
  const [there] = await database().select().from(templates).where(eq(templates.id, id));
  if (there?.siteId === site && there.name === name && isDeepStrictEqual(there.document, document)) return { id };
  if (there)
    throw new RequestRefused(409, 'conflict', 'Another template has this id already.', [
      { field: 'id', message: 'Already used.' },
    ]);
  if ((await database().$count(templates, eq(templates.siteId, site))) >= MOST)
    throw new RequestRefused(409, 'conflict', `A site has at most ${MOST} templates. Remove some first.`);
  await database().insert(templates).values({ id, siteId: site, name, document });
  await note(database(), who, { siteId: site, about: name, says: ['New template.'] });
  return { id };
}

export interface TemplateName {
  readonly id: string;
  readonly siteId: string;
  readonly name: string;
}

/** The templates that somebody may begin lines with, by name. */
export async function listTemplates(who: Who): Promise<TemplateName[]> {
  const own = sitesOf(who, 'plan');
  const { id, siteId, name } = templates;
  return database()
    .select({ id, siteId, name })
    .from(templates)
    .where(own && inArray(siteId, own))
    .orderBy(asc(name), asc(id))
    .limit(LISTED);
}

const templateOf = async (who: Who, action: 'read' | 'plan', siteId: string, templateId: string) => {
  const site = await permittedSite(who, action, siteId);
  const [row] = await database()
    .select()
    .from(templates)
    .where(and(eq(templates.siteId, site), eq(templates.id, checkedId('templateId', templateId))));
  if (!row)
    throw new RequestRefused(404, 'not-found', 'There is no such template.', [
      { field: 'templateId', message: 'Unknown.' },
    ]);
  return row;
};

/** A template with its plan. */
export async function readTemplate(
  who: Who,
  siteId: string,
  templateId: string,
): Promise<{ name: string; plan: Plan }> {
  const { name, document } = await templateOf(who, 'read', siteId, templateId);
  return { name, plan: storedPlan(document) };
}

/** Removes a template; the lines that were begun with it stay. */
export async function removeTemplate(who: Who, siteId: string, templateId: string): Promise<{ id: string }> {
  const { id, siteId: site, name } = await templateOf(who, 'plan', siteId, templateId);
  await database().delete(templates).where(eq(templates.id, id));
  await note(database(), who, { siteId: site, about: name, says: ['Template removed.'] });
  return { id };
}
