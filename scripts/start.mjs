// Serves Zorvek on the person's own database, data/zorvek.db unless ZORVEK_DATABASE_URL names another.
import { ensureBuild, ensurePackages, serve } from './lib.mjs';

await ensurePackages();
await ensureBuild();
await serve();
