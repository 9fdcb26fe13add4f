import { createTheme } from "@mui/material/styles";
import { type Scheme, schemes } from "./tokens";

const sans = "'Source Sans 3 Variable', 'Source Sans 3', sans-serif";
export const serif = "'Source Serif 4 Variable', 'Source Serif 4', serif";

/** The theme of a scheme: the tokens, as MUI wants them. What moves comes and goes at once where that is asked for. */
export function themeOf(scheme: Scheme, still: boolean) {
  const t = schemes[scheme];
  return createTheme({
    palette: {
      mode: scheme,
      primary: { main: t.thread, contrastText: t.onThread },
      error: { main: t.stop },
      warning: { main: t.warn },
      success: { main: t.good },
      background: { default: t.paper, paper: t.card },
      text: { primary: t.ink, secondary: t.soft },
      divider: t.line,
    },
    typography: {
      fontFamily: sans,
      fontSize: 15,
      button: { textTransform: "none", fontWeight: 600 },
      h1: { fontFamily: serif, fontSize: "1.65rem", fontWeight: 650, lineHeight: 1.2 },
      h2: { fontFamily: serif, fontSize: "1.25rem", fontWeight: 650 },
      h3: { fontSize: "1rem", fontWeight: 650 },
    },
    shape: { borderRadius: 4 },
    components: {
      MuiButtonBase: { defaultProps: { disableRipple: true } },
      MuiButton: { styleOverrides: { root: { minHeight: 40 } } },
      MuiDialog: { defaultProps: still ? { transitionDuration: 0 } : {} },
      MuiSnackbar: { defaultProps: still ? { transitionDuration: 0 } : {} },
      MuiPaper: { styleOverrides: { root: { backgroundImage: "none" } } },
    },
  });
}

/** The tokens as custom properties, for the styles and drawings of the app. */
export function properties(scheme: Scheme): Record<string, string> {
  return Object.fromEntries(Object.entries(schemes[scheme]).map(([name, value]) => [`--${name}`, value]));
}
