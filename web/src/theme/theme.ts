import type {} from '@mui/x-date-pickers/themeAugmentation';
import { createTheme } from '@mui/material/styles';

const TEXT = "'Atkinson Hyperlegible Next Variable', sans-serif";

/** Lines and letters of a workshop document: MUI brings behaviour and accessibility, the look is ours. */
export const theme = createTheme({
  cssVariables: { colorSchemeSelector: '[data-scheme="%s"]' },
  colorSchemes: {
    light: {
      palette: {
        primary: { main: '#a14f27', contrastText: '#ffffff' },
        error: { main: '#8c1c2b' },
        background: { default: '#f6f3ec', paper: '#fffefb' },
        text: { primary: '#1d2326', secondary: '#5b6266' },
        divider: '#dcd6c8',
      },
    },
    dark: {
      palette: {
        primary: { main: '#e08d5c', contrastText: '#1d130c' },
        error: { main: '#f0929c' },
        background: { default: '#191714', paper: '#211e1a' },
        text: { primary: '#f0ebe0', secondary: '#b3aca0' },
        divider: '#3d3831',
      },
    },
  },
  shape: { borderRadius: 4 },
  typography: {
    fontFamily: TEXT,
    fontSize: 15,
    button: { textTransform: 'none', fontWeight: 650, letterSpacing: 0 },
  },
  components: {
    // A choice in many words is read to its end, on a phone too.
    MuiMenuItem: { styleOverrides: { root: { whiteSpace: 'normal' } } },
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { disableElevation: true, variant: 'outlined', color: 'inherit' },
      styleOverrides: {
        root: {
          minHeight: 40,
          borderWidth: 1.5,
          whiteSpace: 'nowrap',
          '@media (max-width: 700px)': { minHeight: 48, fontSize: 17 },
        },
        sizeSmall: { minHeight: 32, '@media (max-width: 700px)': { minHeight: 48 } },
        outlined: { borderColor: 'var(--ink)', backgroundColor: 'var(--sheet)', color: 'var(--ink)' },
      },
    },
    MuiTextField: { defaultProps: { size: 'small', fullWidth: true } },
    MuiInputLabel: { defaultProps: { shrink: true } },
    MuiOutlinedInput: {
      defaultProps: { notched: true },
      styleOverrides: {
        root: {
          backgroundColor: 'var(--sheet)',
          '@media (max-width: 700px)': { minHeight: 48 },
          '& .MuiOutlinedInput-notchedOutline': { borderColor: 'var(--soft)' },
        },
      },
    },
    MuiPickersTextField: { defaultProps: { size: 'small' } },
    MuiPickersOutlinedInput: {
      defaultProps: { notched: true },
      styleOverrides: {
        root: {
          backgroundColor: 'var(--sheet)',
          '@media (max-width: 700px)': { minHeight: 48 },
          '& .MuiPickersOutlinedInput-notchedOutline': { borderColor: 'var(--soft)' },
        },
      },
    },
    MuiDialog: { defaultProps: { fullWidth: true, maxWidth: 'sm' } },
    MuiPaper: {
      defaultProps: { elevation: 0 },
      styleOverrides: { root: { backgroundImage: 'none', border: '1px solid var(--line)' } },
    },
    MuiFormHelperText: { styleOverrides: { root: { fontSize: 13.5 } } },
    MuiCheckbox: { styleOverrides: { root: { color: 'var(--soft)' } } },
  },
});
