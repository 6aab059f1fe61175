import { sql, type SQL, type SQLWrapper } from 'drizzle-orm';

const literal = (text: string) => text.replace(/[\\%_]/g, '\\$&');

/** Whether a column holds a text anywhere, in any case; signs that SQL reads as wild cards are taken as written. */
export function holds(column: SQLWrapper, text: string): SQL {
  return sql`${column} like ${`%${literal(text)}%`} escape '\\'`;
}

/** Whether a column begins with a text, in any case. */
export function begins(column: SQLWrapper, text: string): SQL {
  return sql`${column} like ${`${literal(text)}%`} escape '\\'`;
}
