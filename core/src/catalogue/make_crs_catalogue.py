#!/usr/bin/env python3
"""Makes the CRS catalogue that ships with the application (crs.tsv.gz) from Debian's proj-bin and proj-data.

Run once when the EPSG dataset is to be renewed:
    apt-get install proj-bin && python3 make_crs_catalogue.py ../main/resources/wellspan/core/frame/crs.tsv.gz

Columns, tab separated: code, kind (P projected, G geographic), name, unit, metres per unit (degrees: 0),
datum, area of use, west, south, east, north (degrees), PROJ text with +towgs84 where one transformation to WGS 84 is known.
"""
import gzip
import sqlite3
import subprocess
import sys
from concurrent.futures import ThreadPoolExecutor

SQL = """
select c.code, '{kind}', c.name, u.name, u.conv_factor, u.type, d.name,
       e.name, e.west_lon, e.south_lat, e.east_lon, e.north_lat
from {table} c
join coordinate_system cs on cs.auth_name = c.coordinate_system_auth_name and cs.code = c.coordinate_system_code
join axis a on a.coordinate_system_auth_name = cs.auth_name and a.coordinate_system_code = cs.code
    and a.coordinate_system_order = 1
join unit_of_measure u on u.auth_name = a.uom_auth_name and u.code = a.uom_code
join geodetic_crs g on {geodetic}
join geodetic_datum d on d.auth_name = g.datum_auth_name and d.code = g.datum_code
join usage us on us.object_table_name = '{table}' and us.object_auth_name = c.auth_name and us.object_code = c.code
join extent e on e.auth_name = us.extent_auth_name and e.code = us.extent_code
where c.auth_name = 'EPSG' and c.deprecated = 0 {more}
group by c.code order by cast(c.code as integer)
"""


def rows(db):
    projected = SQL.format(kind="P", table="projected_crs", more="",
                           geodetic="g.auth_name = c.geodetic_crs_auth_name and g.code = c.geodetic_crs_code")
    geographic = SQL.format(kind="G", table="geodetic_crs", more="and c.type = 'geographic 2D'",
                            geodetic="g.auth_name = c.auth_name and g.code = c.code")
    for sql in (projected, geographic):
        yield from db.execute(sql)


def proj_text(code):
    run = subprocess.run(["projinfo", "-q", "--boundcrs-to-wgs84", "-o", "PROJ", "--single-line", f"EPSG:{code}"],
                         capture_output=True, text=True)
    text = run.stdout.strip().splitlines()
    return text[-1].replace(" +type=crs", "").replace(" +no_defs", "") if text and text[-1].startswith("+proj") else ""


def main(target):
    db = sqlite3.connect("/usr/share/proj/proj.db")
    found = list(rows(db))
    with ThreadPoolExecutor(4) as pool:
        texts = list(pool.map(lambda r: proj_text(r[0]), found))
    left_out = 0
    lines = []
    for r, text in zip(found, texts):
        if not text or "+proj=poly" in text:
            left_out += 1
            continue
        factor = 0 if r[5] == "angle" else r[4]
        area = [f"{x:.2f}".rstrip("0").rstrip(".") for x in r[8:12]]
        lines.append("\t".join([str(r[0]), r[1], r[2], r[3], repr(factor), r[6], r[7].replace("\t", " "), *area, text]))
    version = db.execute("select value from metadata where key = 'EPSG.VERSION'").fetchone()[0]
    body = f"# EPSG dataset {version}\n" + "\n".join(lines) + "\n"
    with open(target, "wb") as out, gzip.GzipFile(fileobj=out, mode="wb", compresslevel=9, mtime=0) as zipped:
        zipped.write(body.encode("utf-8"))
    print(f"{len(lines)} systems written, {left_out} left out (no PROJ text, or polyconic)")


main(sys.argv[1])
