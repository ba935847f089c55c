import {
  createTheme,
  defaultVariantColorsResolver,
  type CSSVariablesResolver,
  type MantineColorsTuple,
  type MantineThemeComponents,
} from "@mantine/core";
import classes from "./theme.module.css";

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

/** Parts of every field: its name in small ink above it, its unit and its fault beside it. */
const field = { root: classes.field, label: classes.label, description: classes.hint, error: classes.fault, wrapper: classes.wrapper };

/** Whoever hears the page is told at once what is wrong at a field. */
const said = { errorProps: { role: "alert" } };

/** Named, not imported: a page loads only the components it shows. */
const components: MantineThemeComponents = {
  Alert: { classNames: { root: classes.alert, message: classes.alertWords } },
  Input: { classNames: { input: classes.input, section: classes.section } },
  InputWrapper: { defaultProps: { inputWrapperOrder: ["label", "input", "description", "error"] } },
  TextInput: { classNames: field, defaultProps: said },
  Textarea: { classNames: field, defaultProps: { ...said, autosize: false } },
  NativeSelect: { classNames: field, defaultProps: said },
  Checkbox: { classNames: { root: classes.tick, input: classes.tickBox, label: classes.tickLabel } },
  Chip: { classNames: { label: classes.chip }, defaultProps: { radius: 3 } },
  Radio: { classNames: { root: classes.tick, radio: classes.tickBox, label: classes.tickLabel } },
  Modal: {
    classNames: { content: classes.sheet, title: classes.sheetTitle },
    defaultProps: { centered: true, transitionProps: { duration: 0 } },
  },
  ModalRoot: {
    classNames: { content: classes.sheet, title: classes.sheetTitle },
    defaultProps: { transitionProps: { duration: 0 } },
  },
  ModalOverlay: { defaultProps: { className: classes.veil } },
};

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
  fontSizes: { xs: "var(--text-note)", sm: "var(--text-small)", md: "var(--text-body)", lg: "var(--text-lead)", xl: "var(--text-head)" },
  spacing: { xs: "0.25rem", sm: "0.5rem", md: "0.75rem", lg: "1.125rem", xl: "1.75rem" },
  components,
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
