#!/usr/bin/env bash
# Makes the output profiles in assets/profiles from the published characterisation data
# in Debian's icc-profiles-free (Zlib licence) with argyll's colprof. Not needed to run or
# test the application: the profiles are committed. Packages: argyll, icc-profiles-free.
set -euo pipefail
data=/usr/share/color/icc
out=$(cd "$(dirname "$0")/.." && pwd)/assets/profiles
work=$(mktemp -d)
trap 'rm -rf "$work"' EXIT
make_one() { # data set, output name, total ink limit, description
  cp "$data/$1.ti3" "$work/$2.ti3"
  (cd "$work" && colprof -v -qm "-l$3" -L90 -S "$data/sRGB.icc" -cmt -dpp -D "$4" \
    -C "Characterisation data $1 (c) Kai-Uwe Behrmann, Zlib licence" "$2")
  cp "$work/$2".ic[cm] "$out/$2.icc"
}
make_one FOGRA39L coated-fogra39 300 "Coated, FOGRA39L characterisation"
make_one FOGRA29L uncoated-fogra29 280 "Uncoated, FOGRA29L characterisation"
cp "$data/sRGB.icc" "$out/srgb.icc"
