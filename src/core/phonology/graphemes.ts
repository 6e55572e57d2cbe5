/**
 * The spellings each key (or run of two keys) may have, usual ones first. `a_e` is split: its tail stands after the next
 * piece. Members from Carney, A Survey of English Spelling (1994), from memory; the cuts made by hand in the word bank
 * are compared with what this table gives.
 */
export const GRAPHEMES: Readonly<Record<string, readonly string[]>> = {
  p: ['p', 'pp', 'pe'], b: ['b', 'bb', 'be'], t: ['t', 'tt', 'te', 'ed', 'bt', 'tte', 'th', 'tw'], d: ['d', 'dd', 'de', 'ed', 'ld'],
  k: ['c', 'k', 'ck', 'ch', 'cc', 'ke', 'que', 'lk', 'kk', 'q', 'cch'], g: ['g', 'gg', 'gu', 'gh', 'gue'], f: ['f', 'ff', 'ph', 'gh', 'fe', 'ft'],
  v: ['v', 've', 'f', 'vv'], th: ['th'], dh: ['th', 'the'], s: ['s', 'ss', 'c', 'ce', 'se', 'sc', 'st', 'sse', 'ps', 'sw', 'z'],
  z: ['z', 'zz', 's', 'se', 'ze', 'ss', 'es'], sh: ['sh', 's', 'ch', 'ti', 'ss', 'ci', 'ssi', 'che', 'c'], zh: ['s', 'si', 'ge', 'z', 'g'],
  h: ['h', 'wh'], ch: ['ch', 'tch', 't', 'che'], j: ['j', 'g', 'ge', 'dge', 'dj', 'dg', 'gg', 'd'], m: ['m', 'mm', 'mb', 'me', 'lm', 'mn'],
  n: ['n', 'nn', 'kn', 'ne', 'gn', 'nd', 'mn'], ng: ['ng', 'n', 'ngue'], l: ['l', 'll', 'le'], r: ['r', 'rr', 'wr', 'rh', 're'], w: ['w', 'u', 'o'],
  y: ['y', 'i', 'j'], hw: ['wh'], kh: ['ch'],
  'k s': ['x', 'xc', 'cc'], 'g z': ['x'], 'k w': ['qu', 'cqu'], 'k sh': ['x'],
  KIT: ['i', 'e', 'y', 'ui', 'ie', 'a', 'u', 'a_e', 'o', 'i_e', 'ai', 'ey', 'ei'], DRESS: ['e', 'ea', 'ai', 'ie', 'a', 'ue', 'u'],
  TRAP: ['a', 'ai', 'au', 'al'], LOT: ['o', 'a', 'ach', 'ou', 'au', 'o_e', 'ow'], STRUT: ['u', 'o', 'ou', 'o_e', 'oo', 'oe'], FOOT: ['oo', 'u', 'oul', 'o'],
  BATH: ['a', 'a_e', 'au', 'al'], CLOTH: ['o', 'a', 'au', 'ou', 'o_e'], FLEECE: ['ee', 'ea', 'e', 'e_e', 'ie', 'ei', 'ey', 'i', 'i_e', 'eo', 'ea_e'],
  FACE: ['a_e', 'ai', 'ay', 'a', 'eigh', 'ei', 'ey', 'ea', 'et', 'aigh', 'ae'], PALM: ['a', 'al', 'ah', 'aa'], THOUGHT: ['aw', 'au', 'a', 'al', 'ough', 'augh', 'oa'],
  GOAT: ['o_e', 'oa', 'ow', 'o', 'oe', 'ou', 'ough', 'ew', 'oh', 'au'], GOOSE: ['oo', 'u_e', 'ew', 'ue', 'ou', 'u', 'ui', 'o', 'o_e', 'oe', 'wo', 'ough', 'ieu', 'oo_e', 'eu'],
  PRICE: ['i_e', 'igh', 'y', 'ie', 'i', 'y_e', 'ye', 'uy', 'eigh', 'eye', 'is', 'ai', 'ei'], CHOICE: ['oi', 'oy', 'uoy'], MOUTH: ['ou', 'ow', 'ough', 'hou', 'ow_e'],
  FERN: ['er', 'ear', 'ere', 'err', 'e'], FIR: ['ir', 'yr', 'irr'], FUR: ['ur', 'or', 'our', 'urr', 'olo', 'u', 'ure'],
  NEAR: ['ear', 'eer', 'ere', 'ier', 'e', 'ea', 'eir', 'i', 'ee', 'er'], SQUARE: ['air', 'are', 'ear', 'ere', 'eir', 'ayor', 'a', 'ai', 'ar', 'ea'], START: ['ar', 'ear', 'arr', 'are', 'uar', 'er', 'a'],
  NORTH: ['or', 'ar', 'aur', 'oor', 'a', 'au', 'our'], FORCE: ['ore', 'oor', 'oar', 'our', 'or', 'o', 'aur'], CURE: ['ure', 'our', 'oor', 'ur', 'u'],
  happY: ['y', 'ey', 'ie', 'i', 'e', 'ee', 'ea', 'ay'], lettER: ['er', 're', 'or', 'ar', 'our', 'ure', 'ir', 'oar', 'ur', 'yr', 'err', 'e', 'o', 'ear', 'r'],
  commA: ['a', 'e', 'o', 'u', 'i', 'ou', 'io', 'ai', 'ah', 'eo', 'oi', 'ui', 'y', 'ia', 'ea'],
  EL: ['le', 'el', 'al', 'il', 'ol', 'll', 'l', 'ael'], EM: ['om', 'em', 'am', 'um', 'm', 'ome'], EN: ['en', 'on', 'an', 'in', 'ain', 'n', 'ern', 'eon', 'ion', 'oon'],
  'w STRUT': ['o', 'o_e'], 'y GOOSE': ['u_e', 'ew', 'ue', 'u', 'eau', 'iew', 'eu', 'ugh', 'ou'], 'y CURE': ['ure', 'ur', 'u', 'eur'],
  'y FOOT': ['u'], 'y commA': ['u', 'io', 'e'], 'y lettER': ['ure'], 'w LOT': ['oi'], 'w PALM': ['oi'],
};
