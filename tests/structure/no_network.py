#!/usr/bin/python3
"""Nothing of the program opens a connection: of what could, only local sockets of the user's own are included.

    tests/structure/no_network.py [ROOT]
"""
import re
import sys
from pathlib import Path

root = Path(sys.argv[1] if len(sys.argv) > 1 else ".")
connects = re.compile(r'#include\s*[<"]((QTcp|QUdp|QSctp|QSsl|QNetwork|QHttp|QWebSocket|QHostInfo|QDnsLookup)\w*|sys/socket\.h|'
                      r'netinet/\w+\.h|arpa/inet\.h|netdb\.h|curl/\w+\.h)[>"]')
sources = [path for ending in ("cpp", "hpp") for path in (root / "src").rglob(f"*.{ending}")]
found = [f"{path.relative_to(root)}: {match[1]}" for path in sources for match in connects.finditer(path.read_text())]
assert any("QLocalSocket" in path.read_text() for path in sources), "the devices' sockets are not where they were"
if found:
    sys.exit("These could open a connection:\n" + "\n".join(found))
