#!/usr/bin/env bash
# The package: built, checked, installed, started on the demo, removed again. Asks for root; where that is not to be had it is skipped (77).
set -euo pipefail
build=$1
[ "$(id -u)" = 0 ] || exit 77
! dpkg-query -W -f='${Status}' bevel 2>/dev/null | grep -q 'ok installed' || { echo "bevel is installed already"; exit 77; }
cd "$build"
rm -rf package
cpack -G DEB -B package >/dev/null 2>&1
debs=(package/bevel_*.deb)
deb=${debs[0]}
desktop-file-validate "$2/packaging/bevel.desktop"
appstreamcli validate --no-net "$2/packaging/bevel.metainfo.xml" >/dev/null
about=$(dpkg-deb -I "$deb")
contents=$(dpkg-deb -c "$deb")
grep -q 'Depends:.*libqt6widgets6' <<<"$about"
dpkg -i "$deb" >/dev/null
trap 'dpkg -r bevel >/dev/null' EXIT
for file in usr/share/man/man1/bevel.1 usr/share/applications/bevel.desktop usr/share/metainfo/bevel.metainfo.xml \
  usr/share/icons/hicolor/scalable/apps/bevel.svg usr/share/bevel/fonts/OpenSans-Regular.ttf usr/share/bevel/models/pose_detector.tflite; do
  grep -q "$file" <<<"$contents" || { echo "not in the package: $file"; exit 1; }
done
# From somewhere else, with no tree about: the shipped files are those of the package.
home=$(mktemp -d)
cd "$home"
[ "$(bevel --version)" = "bevel 0.1.0" ]
! bevel --no-such-option >/dev/null 2>&1
known=$(env -u BEVEL_DATA -u BEVEL_MODELS bevel-cli movements)
grep -q separate_the_clouds <<<"$known"
export QT_QPA_PLATFORM=offscreen XDG_DATA_HOME="$home/data" XDG_RUNTIME_DIR="$home"
env -u BEVEL_DATA -u BEVEL_MODELS bevel --demo >"$home/log" 2>&1 &
pid=$!
for _ in $(seq 100); do
  [ -e "$home/data/bevel/demo/library.sqlite" ] && break
  sleep 0.1
done
[ -e "$home/data/bevel/demo/library.sqlite" ]
# A second start hands over and ends by itself.
timeout 20 env -u BEVEL_DATA bevel --demo
kill -0 $pid
kill $pid
wait $pid || true
dpkg -r bevel >/dev/null
trap - EXIT
[ ! -e /usr/bin/bevel ] && [ ! -e /usr/share/bevel/rules.json ]
rm -rf "$home"
