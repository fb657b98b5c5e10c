import { array, boolean, string } from 'yup';
import { signs } from '#core/surprise';
import { cardSchema } from './bottle.ts';
import { day, finite, instant, shape, tempC, text } from './parts.ts';
import { benchSchema, planSchema, vesselsSchema } from './plan.ts';
import { storedEvent } from './run-event.ts';

const shelfBottle = shape({
  id: text(60).required(),
  card: cardSchema,
  usedG: finite().min(0).required(),
  archived: boolean().required(),
});

const presentFields = () => ({ substanceId: text(80).required(), pct: finite().min(0).max(100).required() });
const present = () => array().of(shape(presentFields())).max(200).required();

/** Inputs of the compute door, by verb. */
export const computeInputs = {
  reckon: shape({ text: text(2000).defined() }),
  label: shape({ text: text(2000).defined(), today: day(), tempC: tempC() }),
  bottle: shape({
    id: text(60).required(),
    card: cardSchema,
    usedG: finite().min(0).required(),
    tempC: tempC(),
    today: day(),
  }),
  ageing: shape({
    id: text(60).required(),
    card: cardSchema,
    today: day(),
    tempC: tempC(),
    light: string().oneOf(['dark', 'daylight']).required(),
  }),
  shelf: shape({ bottles: array().of(shelfBottle).max(5000).required(), tempC: tempC(), today: day() }),
  wish: shape({
    text: text(2000).defined(),
    shelf: array().of(shelfBottle).max(5000).required(),
    bench: benchSchema,
    today: day(),
  }),
  sheet: shape({ plan: planSchema }),
  advise: shape({
    plan: planSchema,
    events: array().of(storedEvent).max(50_000).required(),
    step: text(60).required(),
    now: instant(),
  }),
  compare: shape({
    attempts: array()
      .of(
        shape({
          number: finite().integer().min(1).required(),
          plan: planSchema,
          events: array().of(storedEvent).max(50_000).required(),
        }),
      )
      .max(6)
      .required(),
  }),
  surprise: shape({
    sign: string()
      .oneOf(Object.keys(signs) as (keyof typeof signs)[])
      .required(),
    present: present(),
    tempC: finite().min(-80).max(500).required(),
    panel: text(20).defined(),
  }),
  clash: shape({ present: present(), added: shape(presentFields()) }),
  dish: shape({
    substanceId: text(80).required(),
    grams: finite().moreThan(0).max(20_000).required(),
    waterG: finite().moreThan(0).max(100_000).required(),
    hotC: finite().min(0).max(110).required(),
    coldC: finite().min(-10).max(110).required(),
    boilAwayG: finite().min(0).max(100_000).required(),
    crops: finite().integer().min(1).max(4).required(),
    impurityPct: finite().min(0).max(50).required(),
    airC: tempC(),
    humidityPct: finite().min(0).max(100).required(),
    pressureHPa: finite().min(600).max(1100).required(),
    dishCm2: finite().moreThan(0).max(10_000).required(),
  }),
  wash: shape({
    retainedMl: finite().min(0).max(100_000).required(),
    portionMl: finite().moreThan(0).max(100_000).required(),
    goalPct: finite().moreThan(0).max(100).required(),
    productGPer100Ml: finite().min(0).max(500).required(),
    readings: array()
      .of(shape({ portion: finite().min(0).max(200).required(), value: finite().min(0).required() }))
      .max(200)
      .required(),
    goalReading: finite().moreThan(0).nullable().defined(),
    quantity: string()
      .oneOf(['conductivity', 'pH'] as const)
      .required(),
  }),
  dry: shape({
    substanceId: text(80).required(),
    waterG: finite().min(0).max(100_000).required(),
    areaCm2: finite().moreThan(0).max(100_000).required(),
    roomC: tempC(),
    humidityPct: finite().min(0).max(100).required(),
    pressureHPa: finite().min(600).max(1100).required(),
    ceiling: shape({ tempC: finite().min(-20).max(1000).required(), why: text(300).defined() })
      .nullable()
      .defined(),
  }),
  evaporate: shape({
    substanceId: text(80).required(),
    fromMl: finite().moreThan(0).max(100_000).required(),
    toMl: finite().min(0).max(100_000).required(),
    awayG: finite().min(0).max(100_000).required(),
    vessels: vesselsSchema,
    watts: finite().moreThan(0).max(5000).nullable().defined(),
    evaporationGPerH: finite().moreThan(0).max(5000).required(),
    dishCm2: finite().moreThan(0).max(10_000).required(),
    liquidC: finite().min(-10).max(110).required(),
    airC: tempC(),
    humidityPct: finite().min(0).max(100).required(),
    pressureHPa: finite().min(600).max(1100).required(),
  }),
  precipitate: shape({
    solid: text(80).required(),
    cationMol: finite().min(0).max(1000).required(),
    anionMol: finite().min(0).max(1000).required(),
    litres: finite().moreThan(0).max(1000).required(),
    beside: finite().min(0).max(20).required(),
  }),
  saltout: shape({
    added: string()
      .oneOf(['NaOH', 'HCl'] as const)
      .required(),
    saltG: finite().min(0).max(100_000).required(),
    waterG: finite().moreThan(0).max(100_000).required(),
    addedG: finite().min(0).max(100_000).required(),
  }),
  run: shape({ plan: planSchema, events: array().of(storedEvent).max(50_000).required() }),
} as const;
