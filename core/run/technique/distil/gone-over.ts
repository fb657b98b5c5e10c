import { derive, type Figure, given } from '#base/figure';
import { molarMass, molarMassFigure, type SubstanceId, substanceOf } from '#matter/substance';
import { amountOf, type Contents, emptyContents } from '#matter/vessel';
import type { Flask } from './flask.ts';

/** What went over of either: mol of the first, with its gas and without, g of the other; whether anything did. */
interface Gone {
  readonly n1: Figure;
  readonly gone: Figure;
  readonly other: Figure;
  readonly any: boolean;
}

interface Ways {
  readonly inFlask: Contents;
  readonly caught: Contents;
}

/** What is left in the flask, and what is caught. */
export function partWays(before: Contents, flask: Flask, went: Gone): Ways {
  const firstLeft = withLess(
    before,
    flask.first,
    left(flask.n, went.gone, `${substanceOf(flask.first).name} left in the flask`),
  );
  return flask.second === 'water'
    ? withWater(before, flask, { firstLeft, went })
    : withOther(before, flask, { firstLeft, went });
}

interface Going {
  readonly firstLeft: Contents;
  readonly went: Gone;
}

function withWater(before: Contents, flask: Flask, { firstLeft, went: { n1, other } }: Going): Ways {
  return {
    inFlask: { ...firstLeft, waterG: left(before.waterG, other, 'water left in the flask') },
    caught: { ...emptyContents, waterG: other, aqueous: { [flask.first]: n1 } },
  };
}

/** Of the volatiles, a part of water so small is drops that boil out first; more of it stays with what dissolves in it. */
const DROPS = 0.03;

function withOther(before: Contents, flask: Flask, { firstLeft, went: { n1, other, any } }: Going): Ways {
  const { name, formula } = substanceOf(flask.second);
  const mol = derive(
    { symbol: 'n', name: `${name} gone over`, unit: 'mol' },
    'm ÷ M',
    { m: other, M: molarMassFigure(formula) },
    (x) => x.m / x.M,
  );
  const had = amountOf(before, flask.second) ?? mol;
  const volatiles = flask.n.value * molarMass(substanceOf(flask.first).formula) + flask.other.value;
  const clouds = any && before.waterG.value <= DROPS * volatiles;
  const none = given({ symbol: 'm', name: 'water', unit: 'g' }, 0, 'it clouds the fore-run, and is gone');
  return {
    inFlask: {
      ...withLess(firstLeft, flask.second, left(had, mol, `${name} left in the flask`)),
      waterG: clouds ? none : before.waterG,
    },
    caught: {
      ...emptyContents,
      waterG: clouds ? before.waterG : none,
      organic: { [flask.first]: n1, [flask.second]: mol },
    },
  };
}

const left = (had: Figure, less: Figure, title: string): Figure =>
  derive({ symbol: had.symbol, name: title, unit: had.unit }, 'x − y', { x: had, y: less }, (v) => v.x - v.y);

/** A vessel with so much left of a substance, in the phase that it stands in. */
function withLess(contents: Contents, id: SubstanceId, left: Figure): Contents {
  const phase = contents.aqueous[id] ? 'aqueous' : 'organic';
  return { ...contents, [phase]: { ...contents[phase], [id]: left } };
}

/** What wets the condenser, or what does not. */
export function partOf(contents: Contents, formula: 'x × f' | 'x × (1 − f)', wets: number): Contents {
  const f = given({ symbol: 'f', name: 'part that wets the condenser', unit: '' }, wets, 'about 0.6 mL of the first');
  const part = (x: Figure) =>
    derive({ symbol: x.symbol, name: x.name, unit: x.unit }, formula, { x, f }, (v) =>
      formula === 'x × f' ? v.x * v.f : v.x * (1 - v.f),
    );
  return {
    ...contents,
    waterG: part(contents.waterG),
    aqueous: Object.fromEntries(Object.entries(contents.aqueous).map(([id, n]) => [id, part(n as Figure)])),
    organic: Object.fromEntries(Object.entries(contents.organic).map(([id, n]) => [id, part(n as Figure)])),
  };
}
