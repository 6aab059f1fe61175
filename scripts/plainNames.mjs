// The loader that reads the sources for the plain tests names each function anew whenever it is made, small ones in the
// heart of a search too: a tenth of the time of all plain tests. No test asks for such a name.
const define = Object.defineProperty;
Object.defineProperty = (target, key, given) =>
  key === 'name' && typeof target === 'function' ? target : define(target, key, given);
