import { createTheme, defaultVariantColorsResolver, type CSSVariablesResolver, type MantineColorsTuple } from "@mantine/core";

const water: MantineColorsTuple = [
  "#e7f3f1",
  "#cfe8e4",
  "#b3dad5",
  "#9fcec8",
  "#74b5ae",
  "#4f9f98",
  "#2e8a83",
  "#177a74",
  "#08706b",
  "#065a56",
];

export const theme = createTheme({
  fontFamily: "var(--font-text)",
  fontFamilyMonospace: "var(--font-text)",
  headings: { fontFamily: "var(--font-voice)", fontWeight: "500" },
  colors: { water },
  primaryColor: "water",
  primaryShade: { light: 8, dark: 8 },
  defaultRadius: 3,
  focusRing: "auto",
  variantColorResolver: (input) => {
    const colours = defaultVariantColorsResolver(input);
    if (input.variant !== "filled") return colours;
    return { ...colours, background: "var(--water)", hover: "var(--water-deep)", color: "var(--on-water)" };
  },
  shadows: { xs: "none", sm: "none", md: "none", lg: "none", xl: "none" },
  fontSizes: { xs: "12.5px", sm: "14px", md: "15px", lg: "17px", xl: "20px" },
});

/** The interface library takes its colours from the tokens, so both themes are told in one place. */
export const cssVariablesResolver: CSSVariablesResolver = () => ({
  variables: {
    "--mantine-color-body": "var(--porcelain)",
    "--mantine-color-text": "var(--ink)",
    "--mantine-color-dimmed": "var(--ink-2)",
    "--mantine-color-placeholder": "var(--ink-3)",
    "--mantine-color-anchor": "var(--water)",
    "--mantine-color-error": "var(--signal)",
    "--mantine-color-default": "var(--glaze)",
    "--mantine-color-default-hover": "var(--water-pale)",
    "--mantine-color-default-color": "var(--ink)",
    "--mantine-color-default-border": "var(--ink-3)",
    "--mantine-primary-color-filled": "var(--water)",
    "--mantine-primary-color-filled-hover": "var(--water-deep)",
    "--mantine-primary-color-contrast": "var(--on-water)",
    "--mantine-primary-color-light": "var(--water-pale)",
    "--mantine-primary-color-light-color": "var(--water)",
  },
  light: {},
  dark: {},
});
