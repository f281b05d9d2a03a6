# Part of ./oficina: a Debian package, to install for good. What goes into it besides the program is in packaging/.

# Later ones are greater: the version of the program and the moment of its last change.
package_version() {
  echo "${OFICINA_VERSION:-1.0+$(git log -1 --format=%cd --date=format:%Y%m%d%H%M%S 2>/dev/null || date +%Y%m%d%H%M%S)}"
}

make_package() { # folder
  local version root
  [ -z "$INSTALLED" ] || fail "a package is made where Oficina is built"
  [ -d "$1" ] || fail "there is no folder $1. Make it first."
  command -v dpkg-deb >/dev/null || fail "dpkg-deb is missing: packages are made on Debian"
  prepare
  build
  version=$(package_version)
  root=$(mktemp -d)
  # shellcheck disable=SC2064
  trap "rm -rf '$root'" EXIT
  chmod 755 "$root"
  install -d "$root"/DEBIAN "$root"/usr/share/oficina/{app,script} "$root"/usr/share/doc/oficina \
    "$root"/usr/bin "$root"/etc/oficina "$root"/etc/logrotate.d "$root"/lib/systemd/system
  cp -r "$APP"/lib "$APP"/*.jar "$root/usr/share/oficina/app/"
  install -m 755 oficina "$root/usr/share/oficina/"
  install -m 644 script/*.sh "$root/usr/share/oficina/script/"
  schema >"$root/usr/share/oficina/schema"
  install -m 755 packaging/oficina "$root/usr/bin/oficina"
  install -m 640 packaging/oficina.conf "$root/etc/oficina/"
  install -m 644 packaging/logrotate "$root/etc/logrotate.d/oficina"
  install -m 644 packaging/oficina.service "$root/lib/systemd/system/"
  install -m 644 README.md docs/operations.md "$root/usr/share/doc/oficina/"
  install -m 755 packaging/{postinst,prerm,postrm,config} "$root/DEBIAN/"
  install -m 644 packaging/{templates,conffiles} "$root/DEBIAN/"
  sed "s/@VERSION@/$version/; s/@SIZE@/$(du -sk "$root/usr" | cut -f1)/" packaging/control >"$root/DEBIAN/control"
  # Nearly all of it is compressed already.
  dpkg-deb --root-owner-group -Zzstd -z3 --build "$root" "$1/oficina_${version}_all.deb" >/dev/null
  rm -rf "$root"
  trap - EXIT
  say "Made $1/oficina_${version}_all.deb. Install it with: apt install ./oficina_${version}_all.deb"
}
