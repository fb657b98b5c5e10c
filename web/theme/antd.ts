import type { ThemeConfig } from 'antd';

/** Ant Design in our own colours; the same hexes as tokens.css, which it cannot read when it mixes shades. */
const day = {
  colorPrimary: '#a04e24',
  colorLink: '#a04e24',
  colorSuccess: '#24695c',
  colorWarning: '#8a5a0c',
  colorError: '#a3263a',
  colorText: '#22303c',
  colorTextSecondary: '#56636b',
  colorTextPlaceholder: '#6b767d',
  colorBgBase: '#fffdf8',
  colorBorder: '#b9ad98',
  colorBorderSecondary: '#ddd3c2',
};
const night = {
  colorPrimary: '#e39a6b',
  colorLink: '#e39a6b',
  colorSuccess: '#79c4b2',
  colorWarning: '#e2b25a',
  colorError: '#f08a98',
  colorText: '#ece6da',
  colorTextSecondary: '#a9b3b8',
  colorTextPlaceholder: '#98a3a9',
  colorBgBase: '#1f272d',
  colorBorder: '#56636b',
  colorBorderSecondary: '#3a454d',
};

export function antdTheme(isNight: boolean): ThemeConfig {
  const colors = isNight ? night : day;
  return {
    cssVar: { key: 'still' },
    hashed: false,
    token: {
      ...colors,
      fontFamily: '"Atkinson Hyperlegible Next Variable", system-ui, sans-serif',
      fontSize: 15,
      borderRadius: 2,
      wireframe: false,
      motion: !window.matchMedia('(prefers-reduced-motion: reduce)').matches,
    },
    components: {
      Table: { headerBg: 'transparent', cellPaddingBlock: 8, cellPaddingInline: 8, headerSplitColor: 'transparent' },
      Slider: {
        railSize: 2,
        handleSize: 12,
        handleSizeHover: 12,
        railBg: colors.colorBorder,
        railHoverBg: colors.colorBorder,
        trackBg: colors.colorPrimary,
        trackHoverBg: colors.colorPrimary,
        handleColor: colors.colorPrimary,
        dotActiveBorderColor: colors.colorPrimary,
      },
    },
  };
}
