/** Pure water, g/mL against temperature in C. Kell 1975 equation, grade A. */
export const waterDensity: readonly (readonly [number, number])[] = [
  [0, 0.99984],
  [5, 0.99996],
  [10, 0.99970],
  [20, 0.99820],
  [25, 0.99704],
  [30, 0.99565],
  [40, 0.99222],
  [45, 0.99021],
  [50, 0.98804],
  [60, 0.98320],
  [65, 0.98055],
  [70, 0.97777],
  [80, 0.97180],
  [85, 0.96862],
  [90, 0.96532],
  [100, 0.95836],
];
