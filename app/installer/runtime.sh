#!/usr/bin/env bash
# Makes a Java of the program's own: only the parts it needs and the window toolkit, with the native libraries of the toolkit and of the
# database beside Java's, so that none is unpacked at a start. Called by build.sh for the package and by ./pebble for quick starts.
#   runtime.sh JDK DIST OUT [further words for jlink]
set -euo pipefail
jdk="$1" dist="$2" out="$3"
shift 3
rm -rf "$out"
"$jdk/bin/jlink" -J-XX:TieredStopAtLevel=1 -J-XX:+UseSerialGC --module-path "$dist/fx" \
  --add-modules java.base,java.desktop,java.logging,java.management,java.naming,java.prefs,java.sql,java.xml,jdk.unsupported,jdk.zipfs,javafx.controls \
  --no-header-files --no-man-pages --output "$out" "$@"
case "$(uname -s)" in
  Linux|Darwin) libraries="$out/lib" ;;
  *) libraries="$out/bin" ;; # Windows looks for libraries beside its programs
esac
cp "$dist"/natives/* "$libraries/"
# the database's for the most common machine; on every other it unpacks itself, as it always did
if [ "$(uname -s)-$(uname -m)" = Linux-x86_64 ] && ls /lib64/ld-linux-x86-64.so.* >/dev/null 2>&1; then
  from="org/sqlite/native/Linux/x86_64/libsqlitejdbc.so"
  scratch="$(mktemp -d)"
  database="$(ls -t "$dist"/lib/sqlite-jdbc-*.jar | head -1)" # an older one may still lie there
  (cd "$scratch" && "$jdk/bin/jar" --extract --file "$database" "$from")
  mv "$scratch/$from" "$libraries/"
  rm -rf "$scratch"
fi
