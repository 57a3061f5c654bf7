#!/bin/sh
# Runs the demo on a fresh machine: its suites, and a few phrases explained.
set -eu
cd "$(dirname "$0")/.."
[ -d node_modules ] || npm ci --no-audit --no-fund --loglevel=error
npm run --silent build
calm_phrase() {
  printf '\n$ calm-phrase %s\n' "$*"
  node ../../dist/cli.js "$@" || [ $? -eq 1 ]
}
cd demo/oxbow-pottery
calm_phrase test
calm_phrase hear "extractor to sixty percent"
calm_phrase hear "turn on the ceiling light" --at kiln-shelf
calm_phrase hear "extractr to sixty"
printf '\nTo open the workbench on this home:  npm run workbench\n'
