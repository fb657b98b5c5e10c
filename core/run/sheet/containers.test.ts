import { describe, expect, it } from 'vitest';
import { catalogue } from '#run/route';
import { planForRoute } from '#testing/catalogue';
import { sheetOf } from './index.ts';

describe('the vessel of a route', () => {
  it.each(catalogue.map((route) => [route.id, route] as const))(
    'bears what %s puts into it, as hot as it gets',
    (_, route) => {
      const sheet = sheetOf(planForRoute(route));
      if (!sheet.ok) throw new Error(sheet.problem.message);
      const container = sheet.value.gauges.find(({ id }) => id === 'container');
      expect(container?.state === 'stop' ? container.note : 'bears it').toBe('bears it');
    },
  );
});
