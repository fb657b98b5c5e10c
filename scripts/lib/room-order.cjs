/** Rooms of the core from the lowest to the highest: a room leans only on rooms before it. */
exports.coreOrder = [
  ['problem'],
  ['units'],
  ['figure'],
  ['data'],
  ['substance'],
  ['account', 'add', 'cell', 'equilibrium', 'product', 'reaction', 'shape', 'solution'],
  ['dish', 'precipitate', 'rate', 'vessel', 'wash'],
  ['guard'],
  ['stock'],
  ['assay'],
  ['dry', 'log', 'phrase'],
  ['reckon', 'technique'],
  ['route', 'surprise'],
  ['plan'],
  ['kept', 'sheet'],
  ['state'],
];
