// Gives each key of the phrasebook's JSON Schema the sentence that stands over it in TypeScript.
import ts from "typescript";

const file = "src/phrasebook/definition/phrasebook.ts";

/** Adds descriptions to a schema, in place; returns the keys that only one of the two has. */
export function describeKeys(schema) {
  const program = ts.createProgram([file], {
    strict: true,
    allowImportingTsExtensions: true,
    noEmit: true,
  });
  const checker = program.getTypeChecker();
  const source = program.getSourceFile(file);
  const [definition] = checker
    .getExportsOfModule(checker.getSymbolAtLocation(source))
    .filter(({ name }) => name === "PhrasebookDefinition");
  const odd = [];
  const seen = new Set();

  /** Alternatives of a type, without nothing. */
  const partsOf = (type) =>
    (type.isUnion() ? type.types : [type]).filter(
      ({ flags }) => (flags & (ts.TypeFlags.Undefined | ts.TypeFlags.Null)) === 0,
    );
  const propertyOf = (types, key) =>
    types.map((type) => checker.getPropertyOfType(type, key)).find((found) => found !== undefined);

  /** Those of some types that have all keys of a schema, and its constants. */
  const meant = (types, { properties = {} }) =>
    types.filter((type) =>
      Object.entries(properties).every(([key, { const: only }]) => {
        const symbol = checker.getPropertyOfType(type, key);
        if (!symbol || typeof only !== "string") return symbol !== undefined;
        const values = partsOf(checker.getTypeOfSymbol(symbol));
        return values.some((value) => value.isStringLiteral() && value.value === only);
      }),
    );

  const describe = (node, types, path) => {
    if (node.$ref !== undefined) {
      const name = node.$ref.split("/").at(-1);
      if (seen.has(name)) return;
      seen.add(name);
      describe(schema.$defs[name], types, path);
      return;
    }
    for (const option of [...(node.anyOf ?? []), ...(node.oneOf ?? [])]) {
      const fitting = option.properties ? meant(types, option) : types;
      if (fitting.length === 0) odd.push(`${path}: ${Object.keys(option.properties).join(", ")}`);
      describe(option, fitting, path);
    }
    if (node.items) {
      const items = types.flatMap((type) => {
        const item = checker.isArrayType(type) && checker.getTypeArguments(type)[0];
        return item ? partsOf(item) : [];
      });
      describe(node.items, items, `${path}[]`);
    }
    if (typeof node.additionalProperties === "object") {
      const entries = types.flatMap((type) => {
        const entry = checker.getIndexTypeOfType(type, ts.IndexKind.String);
        return entry ? partsOf(entry) : [];
      });
      describe(node.additionalProperties, entries, `${path}.*`);
    }
    if (!node.properties) return;
    const maps = types.filter((type) => !checker.isArrayType(type));
    for (const [key, inner] of Object.entries(node.properties)) {
      const symbol = propertyOf(maps, key);
      const text = symbol && ts.displayPartsToString(symbol.getDocumentationComment(checker));
      if (!text) odd.push(`${path}.${key}`);
      else inner.description = text;
      if (symbol) describe(inner, partsOf(checker.getTypeOfSymbol(symbol)), `${path}.${key}`);
    }
    for (const type of maps) {
      for (const { name } of checker.getPropertiesOfType(type)) {
        const isOpen = checker.getIndexTypeOfType(type, ts.IndexKind.String) !== undefined;
        if (!isOpen && !Object.hasOwn(node.properties, name) && maps.length === 1) {
          odd.push(`${path}.${name} is in no schema`);
        }
      }
    }
  };
  describe(schema, [checker.getDeclaredTypeOfSymbol(definition)], "");
  return odd;
}
