export { BIN_CODE } from './binCode';
export { CODE_ALPHABET, makeCode, readCode, type CodeOwner } from './code';
export { makeKey } from './key';
export { slugOf } from './slug';
