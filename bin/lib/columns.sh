#!/bin/sh
# Lists lines of over 120 columns in code (generated files apart); ends with 1 when there are any.
cd "$(dirname "$0")/../.." || exit 1
{ git ls-files -c -o --exclude-standard '*.php' '*.ts' '*.vue' '*.css' 'bin/*' | grep -v 'schema\.d\.ts$'; } | sort \
    -u | while read -r file; do
    [ -f "$file" ] && LC_ALL=C.UTF-8 awk \
        'length($0) > 120 { printf "%s:%d has %d columns\n", FILENAME, FNR, length($0) }' "$file"
done | { grep . && exit 1 || exit 0; }
