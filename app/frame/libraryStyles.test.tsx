import { MantineProvider } from "@mantine/core";
import { format } from "prettier";
import { renderToStaticMarkup } from "react-dom/server";
import { expect, it } from "vitest";
import { cssVariablesResolver, theme } from "./theme";

const FILE = `${import.meta.dirname}/libraryStyles.css`;

/** What the component library would otherwise write into every page: the variables of our theme and its classes by width. */
async function stylesOfTheme(): Promise<string> {
  const page = renderToStaticMarkup(
    <MantineProvider theme={theme} cssVariablesResolver={cssVariablesResolver}>
      {null}
    </MantineProvider>,
  );
  const styles = [...page.matchAll(/<style[^>]*>([\s\S]*?)<\/style>/g)].map((match) => match[1] ?? "");
  return format(`/* Made from theme.ts by  npx vitest run app/frame/libraryStyles -u  */\n${styles.join("\n")}`, {
    parser: "css",
    printWidth: 140,
  });
}

it("the style sheet of the component library is that of the theme", async () => {
  await expect(await stylesOfTheme()).toMatchFileSnapshot(FILE);
});
