#!/usr/bin/env bash
# Fails where screens, messages, documents or code use a word that docs/glossary.md replaces. The names that old plan files
# used stand in what upgrades them.
cd "$(dirname "$0")/../.." || exit 2
found=$(grep -rniE -f bin/lib/banned-words.txt --exclude-dir=node_modules --exclude-dir=dist --include='*.ts' --include='*.tsx' --include='*.md' \
  --exclude=upgrade.ts --exclude=plan.test.ts app core db docs e2e server ui README.md CONTRIBUTING.md CHANGELOG.md)
[ -z "$found" ] || { printf '%s\n' "$found"; exit 1; }
