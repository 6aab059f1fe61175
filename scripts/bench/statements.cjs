// Preloaded into the server by the benchmark of pages: writes every SQL statement that is prepared, one a line.
const { appendFileSync } = require('node:fs');
const Module = require('node:module');

const file = process.env.ZORVEK_STATEMENTS;
const load = Module._load;
Module._load = function loadAndWatch(request, ...rest) {
  const loaded = load.call(this, request, ...rest);
  const { prototype } = typeof loaded === 'function' ? loaded : {};
  if (file && /(^|[\\/])libsql([\\/]index\.js)?$/.test(request) && prototype?.prepare && !prototype.isWatched) {
    const { prepare } = prototype;
    prototype.isWatched = true;
    prototype.prepare = function watched(sql) {
      appendFileSync(file, `${sql.replace(/\s+/g, ' ')}\n`);
      return prepare.call(this, sql);
    };
  }
  return loaded;
};
