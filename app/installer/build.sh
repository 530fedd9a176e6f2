#!/usr/bin/env bash
# Makes the application image and the Debian package out of target/dist, with the tools of the JDK and dpkg-deb. Called by Maven's profile
# "installer"; ./pebble package calls Maven. With a display (a virtual one will do) the list of classes for quick starts is made as well.
#
# Windows and macOS: the same image is made there by the same jlink and jpackage lines below, run on that system with its own libraries
# (Maven fetches them), then `jpackage --type msi` or `--type dmg` with --app-image and --file-associations. Not run here, nor tried.
set -euo pipefail
version="$1"
target="$2"
here="$(cd "$(dirname "${BASH_SOURCE[0]}")" && pwd)"
jdk="${JAVA_HOME:-$(dirname "$(dirname "$(readlink -f "$(command -v javac)")")")}"
out="$target/installer"
icon="$here/../src/main/resources/mosspebble/app/icon.png"
say() { printf '%s\n' "$*" >&2; }
for tool in jlink jpackage; do
  [ -x "$jdk/bin/$tool" ] || { say "$jdk has no $tool: a whole JDK of version 17 or newer is needed."; exit 1; }
done
rm -rf "$out"
mkdir -p "$out/input"

say "Trimming the runtime."
bash "$here/runtime.sh" "$jdk" "$target/dist" "$out/runtime" --strip-java-debug-attributes --compress=2

say "Putting the application together."
cp "$target/dist/app-run.jar" "$out/input/"
cp -r "$target/dist/lib" "$out/input/lib"
if [ -f "$out/runtime/lib/libsqlitejdbc.so" ]; then # then the database's libraries for other systems only take room
  for database in "$out"/input/lib/sqlite-jdbc-*.jar; do
    mkdir "$out/database"
    (cd "$out/database" && "$jdk/bin/jar" --extract --file "$database" && rm -r org/sqlite/native)
    "$jdk/bin/jar" --create --file "$database" --manifest "$out/database/META-INF/MANIFEST.MF" -C "$out/database" .
    rm -r "$out/database"
  done
fi
"$jdk/bin/jpackage" --type app-image --name moss-pebble --app-version "$version" --description "Plans painted stones" \
  --runtime-image "$out/runtime" --input "$out/input" --main-jar app-run.jar --icon "$icon" --dest "$out/image" \
  --java-options "-Xlog:disable -Xshare:auto -XX:SharedArchiveFile=\$APPDIR/classes.jsa -XX:+UseSerialGC -Xms96m -Xmx640m -XX:-UsePerfData" \
  --java-options "-XX:MinHeapFreeRatio=10 -XX:MaxHeapFreeRatio=25 -XX:NewRatio=7" \
  --java-options "-XX:+IgnoreUnrecognizedVMOptions -XX:TrimNativeHeapInterval=10000" \
  --java-options "-XX:Tier4InvocationThreshold=60000 -XX:Tier4MinInvocationThreshold=7200 -XX:Tier4CompileThreshold=180000" \
  --java-options "-XX:C1MaxInlineSize=12 -XX:C1MaxInlineLevel=3 -Dsun.reflect.inflationThreshold=1000000" \
  --java-options "-XX:Tier4BackEdgeThreshold=480000 --enable-native-access=javafx.graphics,ALL-UNNAMED"
rm -rf "$out/runtime" "$out/input"
image="$out/image/moss-pebble"

if [ -n "${DISPLAY:-}" ]; then
  say "Listing the classes of a start."
  scratch="$(mktemp -d)"
  timeout 120 "$image/lib/runtime/bin/java" -Xshare:off "-XX:DumpLoadedClassList=$image/lib/app/classes.lst" -cp "$image/lib/app/app-run.jar" \
    mosspebble.app.Main demo --studio "$scratch/s.pebble" --shot "$scratch/s.png" --once >/dev/null 2>&1 || rm -f "$image/lib/app/classes.lst"
  rm -rf "$scratch"
else
  say "No display: the package will start without its list of classes, more slowly."
fi

command -v dpkg-deb >/dev/null || { say "The application is in $image; there is no dpkg-deb here to make a package of it."; exit 0; }
say "Making the package."
arch="$(dpkg --print-architecture)"
tree="$out/deb"
mkdir -p "$tree/DEBIAN" "$tree/opt" "$tree/usr/bin" "$tree/usr/share/applications" "$tree/usr/share/mime/packages" \
  "$tree/usr/share/icons/hicolor/256x256/apps" "$tree/usr/share/man/man1" "$tree/usr/share/doc/moss-pebble"
cp -r "$image" "$tree/opt/moss-pebble"
install -m 0755 "$here/moss-pebble" "$tree/usr/bin/moss-pebble"
cp "$here/moss-pebble.desktop" "$tree/usr/share/applications/"
cp "$here/moss-pebble.xml" "$tree/usr/share/mime/packages/"
cp "$icon" "$tree/usr/share/icons/hicolor/256x256/apps/moss-pebble.png"
sed "s/@version@/$version/" "$here/moss-pebble.1" | gzip -9n > "$tree/usr/share/man/man1/moss-pebble.1.gz"
gzip -9n < "$here/../../CHANGELOG.md" > "$tree/usr/share/doc/moss-pebble/changelog.gz"
cp "$here/../../NOTICE.md" "$tree/usr/share/doc/moss-pebble/"
cp "$here/../../LICENSE" "$tree/usr/share/doc/moss-pebble/copyright"

# What the libraries of the image need of the system; GTK is loaded by name and so not found this way.
needed() {
  find "$tree/opt/moss-pebble" -type f \( -name '*.so' -o -name '*.so.*' -o -name java \) -exec ldd {} + 2>/dev/null \
    | sed -nE 's/.*=> (\/[^ ]+) .*/\1/p' | grep -v "^$out" | sort -u | while read -r file; do
      dpkg -S "$file" 2>/dev/null || dpkg -S "$(readlink -f "$file")" 2>/dev/null || dpkg -S "${file#/usr}" 2>/dev/null || true
    done | cut -d: -f1 | sort -u
}
depends="$( (needed; printf '%s\n' libxtst6 libxxf86vm1 libgl1) | sort -u | grep -v '^libgtk-3-0' | paste -sd, | sed 's/,/, /g')"
gtk="libgtk-3-0t64 | libgtk-3-0"
sed -e "s/@version@/$version/" -e "s/@arch@/$arch/" -e "s/@depends@/$gtk, $depends/" -e "s/@size@/$(du -sk "$tree" | cut -f1)/" \
  "$here/control" > "$tree/DEBIAN/control"
cp "$here/postinst" "$here/prerm" "$tree/DEBIAN/"
chmod 0755 "$tree/DEBIAN/postinst" "$tree/DEBIAN/prerm"
chmod -R u=rwX,go=rX "$tree/opt" "$tree/usr"
dpkg-deb --root-owner-group -Zxz --build "$tree" "$out/moss-pebble_${version}_$arch.deb" >/dev/null
rm -rf "$tree"
say "Made $out/moss-pebble_${version}_$arch.deb ($(du -h "$out/moss-pebble_${version}_$arch.deb" | cut -f1)) and $image."
