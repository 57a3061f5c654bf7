import js from "@eslint/js";
import tseslint from "typescript-eslint";

/** The stages of the pipeline; each imports only from those before it. */
const stages = [
  "source",
  "time",
  "language",
  "sounds",
  "pattern",
  "model",
  "document",
  "lexicon",
  "automaton",
  "slot-types",
  "phrasebook",
  "commands",
  "speech",
  "hearing",
  "book",
  "grammar",
  "home",
  "survey",
  "suites",
  "coverage",
  "comparison",
  "mishearing",
  "reports",
  "exchange",
  "edits",
  "node",
  "vitest",
  "cli",
];
const core = stages.slice(0, stages.indexOf("node"));

const onlyEarlierStages = stages.map((stage, index) => {
  const later = stages.slice(index + 1);
  const patterns = [
    {
      regex: `^(?:\\.\\./)+(?:${[...later, "index\\.ts"].join("|")})(?:/|$)`,
      message: `${stage} comes earlier in the pipeline; see the layout in CONTRIBUTING.md.`,
    },
  ];
  if (stage !== "language" && stage !== "book") {
    patterns.push({
      regex: "language/(?:dutch|english|french|german|italian|spanish|shipped)\\.ts$",
      message: "Languages come in by the reader that a phrasebook is read with.",
    });
  }
  if (core.includes(stage)) {
    patterns.push({
      regex: "^node:|^(?:commander|picocolors)$",
      message: "The core runs in browsers too: files and terminals belong in src/node and src/cli.",
    });
  }
  return {
    files: [`src/${stage}/**/*.ts`],
    ignores: ["**/*.test.ts"],
    rules: { "no-restricted-imports": ["error", { patterns }] },
  };
});

/** A cast says what nobody checked; where a library leaves no other way, its reason stands beside it. */
const noCast = {
  selector: "TSAsExpression:not([typeAnnotation.typeName.name='const'])",
  message: "Check what it is, or say why it cannot be checked.",
};

export default tseslint.config(
  { ignores: ["**/dist/", "coverage/"] },
  js.configs.recommended,
  {
    files: ["**/*.ts"],
    extends: [tseslint.configs.strictTypeChecked, tseslint.configs.stylisticTypeChecked],
    languageOptions: { parserOptions: { projectService: true } },
    rules: {
      "@typescript-eslint/restrict-template-expressions": [
        "error",
        { allowNumber: true, allowBoolean: true },
      ],
      "@typescript-eslint/consistent-type-imports": ["error", { fixStyle: "inline-type-imports" }],
    },
  },
  ...onlyEarlierStages,
  {
    files: ["src/**/*.ts", "packages/*/src/**/*.ts"],
    ignores: ["**/*.test.ts"],
    rules: {
      "@typescript-eslint/max-params": ["error", { max: 4 }],
      "no-restricted-syntax": ["error", noCast],
    },
  },
  {
    // A language pack is one file of data, as long as its language is.
    files: ["src/**/*.ts", "packages/*/src/**/*.ts"],
    ignores: ["**/*.test.ts", "src/language/{dutch,english,french,german,italian,spanish}.ts"],
    rules: { "max-lines": ["error", 400] },
  },
  {
    files: core.map((stage) => `src/${stage}/**/*.ts`),
    ignores: ["**/*.test.ts"],
    rules: {
      "no-restricted-globals": [
        "error",
        ...[
          "process",
          "console",
          "Buffer",
          "setTimeout",
          "setInterval",
          "fetch",
          "performance",
        ].map((name) => ({ name, message: "The core has no clock, no output and no network." })),
      ],
      "no-restricted-syntax": [
        "error",
        noCast,
        {
          selector:
            "NewExpression[callee.name='Date'][arguments.length=0], MemberExpression[object.name='Date'][property.name='now']",
          message: "Time enters the core as an argument.",
        },
        {
          selector: "MemberExpression[object.name='Math'][property.name='random']",
          message: "Chance enters the core as a seed.",
        },
        {
          selector:
            "CallExpression[callee.property.name=/^toLocale(?:Lower|Upper)Case$/][arguments.length=0]",
          message: "Name the language: the core has no locale of its own.",
        },
      ],
    },
  },
  {
    files: ["**/*.js"],
    languageOptions: {
      globals: {
        process: "readonly",
        console: "readonly",
        performance: "readonly",
        setTimeout: "readonly",
      },
    },
  },
);
