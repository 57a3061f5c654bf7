// Every type that a value of the library shows is exported by one of its doors.
import ts from "typescript";

const doors = ["index", "exchange", "mishearing", "reports", "edits", "node", "vitest"].map(
  (name) => `dist/${name}.d.ts`,
);
const program = ts.createProgram(doors, {
  target: ts.ScriptTarget.ES2022,
  module: ts.ModuleKind.NodeNext,
  moduleResolution: ts.ModuleResolutionKind.NodeNext,
  strict: true,
});
const checker = program.getTypeChecker();
const resolve = (symbol) =>
  symbol.flags & ts.SymbolFlags.Alias ? checker.getAliasedSymbol(symbol) : symbol;
const exported = doors.flatMap((door) => {
  const module = checker.getSymbolAtLocation(program.getSourceFile(door));
  return checker.getExportsOfModule(module).map(resolve);
});
const known = new Set(exported);
const missing = new Map();
const seen = new Set();

const isOurs = (declaration) => /(?:^|\/)dist\//u.test(declaration.getSourceFile().fileName);

/** Names of types in the declaration of a symbol that the doors do not export. */
function visit(symbol) {
  if (seen.has(symbol)) return;
  seen.add(symbol);
  for (const declaration of symbol.declarations ?? []) {
    if (!isOurs(declaration)) continue;
    const walk = (node) => {
      if (ts.isTypeReferenceNode(node) || ts.isExpressionWithTypeArguments(node)) {
        const name = ts.isTypeReferenceNode(node) ? node.typeName : node.expression;
        const found = checker.getSymbolAtLocation(name);
        if (found) note(resolve(found), symbol);
      }
      ts.forEachChild(node, walk);
    };
    // What a generic function asks of its types is worked out from them, and nobody writes it.
    const isGeneric = ts.isFunctionDeclaration(declaration) && declaration.typeParameters;
    walk(isGeneric && declaration.type ? declaration.type : declaration);
  }
}

function note(found, from) {
  const own = (found.declarations ?? []).some(
    (each) => isOurs(each) && !ts.isTypeParameterDeclaration(each),
  );
  if (!own) return;
  if (!known.has(found)) missing.set(found.name, from.name);
  visit(found);
}

for (const symbol of exported) visit(symbol);
for (const [name, from] of missing) console.log(`${name}, which ${from} shows, is not exported`);
if (missing.size > 0) process.exitCode = 1;
