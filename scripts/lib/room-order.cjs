/**
 * The five wings of the core from left to right, each with its rooms from the lowest to the highest: a room leans only on
 * rooms before it in its wing, and on wings to the left.
 */
exports.wings = {
  base: [['lookup', 'numeric', 'problem', 'shape'], ['units'], ['figure', 'reading', 'time']],
  matter: [
    ['data'],
    ['gear', 'substance'],
    ['account', 'equilibrium', 'reaction', 'solution'],
    ['stock', 'vessel'],
    ['guard'],
    ['hazard', 'label'],
  ],
  model: [
    ['absorb', 'add', 'cell', 'dish', 'ester', 'method', 'precipitate', 'rate', 'still', 'sublime', 'wash'],
    ['assay', 'dry', 'electrolysis', 'layers'],
  ],
  run: [
    ['log', 'week'],
    ['technique'],
    ['route', 'surprise'],
    ['plan'],
    ['kept', 'sheet'],
    ['care', 'chain', 'choose', 'own', 'state'],
    ['agenda', 'outcome', 'recipe'],
  ],
  ask: [['phrase'], ['sums'], ['reckon']],
};

/** All heights of all wings, from the lowest to the highest, each a list of rooms as “wing/room”. */
exports.heights = Object.entries(exports.wings).flatMap(([wing, heights]) =>
  heights.map((rooms) => rooms.map((room) => `${wing}/${room}`)),
);
