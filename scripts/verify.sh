#!/bin/sh
# Passes every check on a fresh machine. Chromium comes from Debian's packages when it is missing.
set -eu
cd "$(dirname "$0")/.."

browser="${CHROMIUM:-/usr/bin/chromium}"
if [ ! -x "$browser" ]; then
  if [ "$(id -u)" -eq 0 ] && command -v apt-get >/dev/null; then
    echo "Installing Chromium, which the browser tests drive."
    apt-get update -qq
    DEBIAN_FRONTEND=noninteractive apt-get install -y -qq chromium >/dev/null
  else
    echo "The browser tests need Chromium. Install it (apt-get install chromium as root), or name" >&2
    echo "one that you have: CHROMIUM=/path/to/chromium sh scripts/verify.sh" >&2
    exit 2
  fi
fi

# What reads the reports that tests write.
if ! command -v genhtml >/dev/null || ! command -v prove >/dev/null || ! command -v xmllint >/dev/null; then
  if [ "$(id -u)" -eq 0 ] && command -v apt-get >/dev/null; then
    echo "Installing lcov, perl and libxml2-utils, which read reports in the tests."
    apt-get update -qq
    DEBIAN_FRONTEND=noninteractive apt-get install -y -qq lcov perl libxml2-utils >/dev/null
  else
    echo "The tests of reports need genhtml, prove and xmllint: apt-get install lcov perl libxml2-utils" >&2
    exit 2
  fi
fi

# What live homes are tried with beside our own stand-ins.
PATH="$PATH:/usr/sbin"
if ! command -v mosquitto >/dev/null || ! command -v curl >/dev/null || ! command -v openssl >/dev/null || ! command -v ss >/dev/null; then
  if [ "$(id -u)" -eq 0 ] && command -v apt-get >/dev/null; then
    echo "Installing mosquitto, curl, openssl and iproute2, which live homes are tried with."
    apt-get update -qq
    DEBIAN_FRONTEND=noninteractive apt-get install -y -qq mosquitto curl openssl iproute2 >/dev/null
  else
    echo "The tests of live homes need mosquitto, curl, openssl and ss: apt-get install mosquitto curl openssl iproute2" >&2
    exit 2
  fi
fi

# The compiler of grammars of a real recogniser, and the W3C's own definition of grammars in XML.
if ! command -v sphinx_jsgf2fsg >/dev/null || ! [ -d /usr/share/xml/w3c-sgml-lib ]; then
  if [ "$(id -u)" -eq 0 ] && command -v apt-get >/dev/null; then
    echo "Installing sphinxbase-utils and w3c-sgml-lib, which exported grammars are held to in the tests."
    apt-get update -qq
    DEBIAN_FRONTEND=noninteractive apt-get install -y -qq sphinxbase-utils w3c-sgml-lib >/dev/null
  else
    echo "The tests of grammars need sphinx_jsgf2fsg and the W3C's definitions: apt-get install sphinxbase-utils w3c-sgml-lib" >&2
    exit 2
  fi
fi

npm ci --no-audit --no-fund --loglevel=error
npm run --silent build
npm run --silent build:examples
# The linter takes as long as all other checks together, and one core.
npm run --silent check:lint &
lint=$!
npm run --silent build:site -w site
npm run --silent check:format
npm run --silent check:types
npm run --silent check:unused
npm run --silent check:package
npm run --silent size
wait "$lint"
npx vitest run
