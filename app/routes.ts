import { index, route, type RouteConfig } from "@react-router/dev/routes";

export default [
  index("today/todayRoute.tsx"),
  route("shelf", "shelf/shelfRoute.tsx"),
  route("shelf/receive", "shelf/receiveRoute.tsx"),
  route("shelf/import", "shelf/importing/importRoute.tsx"),
  route("shelf/lots.csv", "shelf/importing/exportRoute.ts"),
  route("shelf/lots.json", "shelf/lotsRoute.ts"),
  route("shelf/:material", "shelf/materialRoute.tsx"),
  route("sheet", "sheet/newSheetRoute.ts"),
  route("sheet/:formulaId/:number?", "sheet/sheetRoute.tsx"),
  route("import", "sheet/versions/importRoute.tsx"),
  route("sheet/:formulaId/difference", "sheet/versions/differenceRoute.tsx"),
  route("sheet/:formulaId/:number/files/:file", "sheet/versions/exportRoute.ts"),
  route("sheet/:formulaId/:number/card", "sheet/versions/cardRoute.tsx"),
  route("recipe", "sheet/start/recipeRoute.ts"),
  route("sheet/:formulaId/:number/branch", "sheet/start/branchRoute.ts"),
  route("sheet/:formulaId/answers", "sheet/answersRoute.ts"),
  route("weighing/:formulaId/:number", "weighing/weighingRoute.tsx"),
  route("scales", "scales/scalesRoute.tsx"),
  route("materials.json", "sheet/materialsRoute.ts"),
  route("*", "frame/notFoundRoute.tsx"),
] satisfies RouteConfig;
