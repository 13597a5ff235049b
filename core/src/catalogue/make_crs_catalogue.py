#!/usr/bin/env python3
"""Makes the CRS catalogue that ships with the application (crs.tsv.gz, wkt.tsv.gz) from Debian's proj-bin and proj-data.

Run once when the EPSG dataset is to be renewed:
    apt-get install proj-bin && python3 make_crs_catalogue.py ../main/resources/wellspan/core/crs

crs.tsv.gz, tab separated: code, kind (P projected, G geographic), name, unit, metres per unit (degrees: 0),
datum, area of use, west, south, east, north (degrees), PROJ text with +towgs84 where a transformation to WGS 84 is known,
axis order (as the authority has it, such as "Easting Northing"), code of the geographic system it is based on,
accuracy of that transformation in metres (empty: not known), grid file that would do better (empty: none), its accuracy in metres.
wkt.tsv.gz: code, WKT 1 as in .prj files.
"""
import gzip
import math
import sqlite3
import subprocess
import sys
from concurrent.futures import ThreadPoolExecutor

SQL = """
select c.code, '{kind}', c.name, u.name, u.conv_factor, u.type, d.name,
       e.name, e.west_lon, e.south_lat, e.east_lon, e.north_lat,
       a.name || ' ' || b.name, g.code, d.code
from {table} c
join coordinate_system cs on cs.auth_name = c.coordinate_system_auth_name and cs.code = c.coordinate_system_code
join axis a on a.coordinate_system_auth_name = cs.auth_name and a.coordinate_system_code = cs.code
    and a.coordinate_system_order = 1
join axis b on b.coordinate_system_auth_name = cs.auth_name and b.coordinate_system_code = cs.code
    and b.coordinate_system_order = 2
join unit_of_measure u on u.auth_name = a.uom_auth_name and u.code = a.uom_code
join geodetic_crs g on {geodetic}
join geodetic_datum d on d.auth_name = g.datum_auth_name and d.code = g.datum_code
join usage us on us.object_table_name = '{table}' and us.object_auth_name = c.auth_name and us.object_code = c.code
join extent e on e.auth_name = us.extent_auth_name and e.code = us.extent_code
where c.auth_name = 'EPSG' and c.deprecated = 0 {more}
group by c.code order by cast(c.code as integer)
"""

HELMERT = """
select h.source_crs_code, h.tx, h.ty, h.tz, h.rx, h.ry, h.rz, h.scale_difference, h.method_code, h.accuracy,
       h.rotation_uom_code, h.scale_difference_uom_code, e.west_lon, e.south_lat, e.east_lon, e.north_lat
from helmert_transformation_table h
join usage us on us.object_table_name = 'helmert_transformation' and us.object_auth_name = h.auth_name and us.object_code = h.code
join extent e on e.auth_name = us.extent_auth_name and e.code = us.extent_code
where h.auth_name = 'EPSG' and h.source_crs_auth_name = 'EPSG' and cast(h.target_crs_code as text) in ({targets})
  and h.deprecated = 0 and cast(h.method_code as text) in ('9603', '9606', '9607') and cast(h.translation_uom_code as text) = '9001'
"""

GRID = """
select t.source_crs_code, t.target_crs_code, t.grid_name, t.accuracy, e.west_lon, e.south_lat, e.east_lon, e.north_lat
from grid_transformation t
join usage us on us.object_table_name = 'grid_transformation' and us.object_auth_name = t.auth_name and us.object_code = t.code
join extent e on e.auth_name = us.extent_auth_name and e.code = us.extent_code
where t.auth_name = 'EPSG' and t.source_crs_auth_name = 'EPSG' and t.deprecated = 0 and t.accuracy is not null
  and (t.method_name like '%NTv%' or t.method_name like '%NADCON%' or t.method_name like '%Geocentric%grid%')
"""

# WGS 84 and the regional systems that lie within a metre or two of it
NEAR_WGS84 = ["4326", "4258", "4269", "4283", "4167", "4612", "4674", "4610", "4619", "4171", "7844"]


def rows(db):
    projected = SQL.format(kind="P", table="projected_crs", more="",
                           geodetic="g.auth_name = c.geodetic_crs_auth_name and g.code = c.geodetic_crs_code")
    geographic = SQL.format(kind="G", table="geodetic_crs", more="and c.type = 'geographic 2D'",
                            geodetic="g.auth_name = c.auth_name and g.code = c.code")
    for sql in (projected, geographic):
        yield from db.execute(sql)


def projinfo(code, form):
    run = subprocess.run(["projinfo", "-q", *form, "--single-line", f"EPSG:{code}"], capture_output=True, text=True)
    text = run.stdout.strip().splitlines()
    return text[-1] if text else ""


def proj_text(code):
    text = projinfo(code, ["--boundcrs-to-wgs84", "-o", "PROJ"])
    return text.replace(" +type=crs", "").replace(" +no_defs", "") if text.startswith("+proj") else ""


def wkt(code):
    text = projinfo(code, ["-o", "WKT1:ESRI"])
    return text if text.startswith(("PROJCS", "GEOGCS")) else projinfo(code, ["-o", "WKT1:GDAL"])


def share(area, extent):
    """Part of an area of use that an extent covers."""
    w, s, e, n = area
    if w > e:
        return 1.0 if extent[0] > extent[2] or extent[2] - extent[0] > 300 else 0.0
    xw, xs, xe, xn = extent
    if xw > xe:
        xe += 360
    width = max(0.0, min(e, xe) - max(w, xw)) / max(e - w, 1e-9)
    height = max(0.0, min(n, xn) - max(s, xs)) / max(n - s, 1e-9)
    return width * height


def towgs84(h):
    """The seven parameters in PROJ's order and sign (position vector), or None for other units."""
    if str(h[8]) == "9603":
        return [h[1], h[2], h[3]]
    angle = {"9104": 1.0, "9113": 0.1, "1031": 0.001, "9109": math.degrees(1e-6) * 3600}.get(str(h[10]))
    ppm = {"9202": 1.0, "1028": 0.001}.get(str(h[11]))
    if angle is None or ppm is None:
        return None
    sign = -1 if str(h[8]) == "9607" else 1
    return [h[1], h[2], h[3], *(round(sign * r * angle, 9) for r in h[4:7]), round(h[7] * ppm, 9)]


def same(text, parameters):
    have = next((w[9:] for w in text.split() if w.startswith("+towgs84=")), "")
    numbers = [float(x) for x in have.split(",")] if have else []
    want = parameters + [0.0] * (7 - len(parameters))
    return bool(numbers) and all(abs(a - b) < 1e-6 for a, b in zip(numbers + [0.0] * (7 - len(numbers)), want))


def datum_shift(text, bases, area, helmerts):
    """PROJ text with a shift, and the shift's accuracy in metres or ''."""
    candidates = [(towgs84(h), h[9], share(area, h[12:16])) for b in bases for h in helmerts.get(b, [])]
    candidates = [c for c in candidates if c[0] is not None]
    if "+datum=WGS84" in text:
        return text, "0"
    if "+towgs84" in text:
        known = [c[1] for c in candidates if same(text, c[0]) and c[1] is not None]
        return text, repr(min(known)) if known else ""
    fitting = [c for c in candidates if c[2] > 0.5 and c[1] is not None]
    if not fitting:
        return text, ""
    parameters, accuracy, _ = min(fitting, key=lambda c: (c[1], -c[2]))
    shift = ",".join(f"{p:.9f}".rstrip("0").rstrip(".") for p in parameters)
    return text + " +towgs84=" + shift, repr(accuracy)


def write(folder, name, version, lines):
    body = f"# EPSG dataset {version}\n" + "\n".join(lines) + "\n"
    with open(f"{folder}/{name}", "wb") as out, gzip.GzipFile(fileobj=out, mode="wb", compresslevel=9, mtime=0) as zipped:
        zipped.write(body.encode("utf-8"))


def main(folder):
    db = sqlite3.connect("/usr/share/proj/proj.db")
    found = list(rows(db))
    helmerts, grids = {}, {}
    for h in db.execute(HELMERT.format(targets=",".join(f"'{t}'" for t in NEAR_WGS84))):
        helmerts.setdefault(str(h[0]), []).append(h)
    for g in db.execute(GRID):
        ends = [str(g[0]), str(g[1])]
        for base, other in (ends, ends[::-1]):
            if other in NEAR_WGS84 and base not in NEAR_WGS84:
                grids.setdefault(base, []).append(g[2:])
    # a shift holds for every geographic system of its datum, whatever its axes or prime meridian
    sibling = {}
    for code, datum in db.execute("select code, datum_code from geodetic_crs where auth_name = 'EPSG' and datum_auth_name = 'EPSG'"):
        sibling.setdefault(str(datum), []).append(str(code))
    with ThreadPoolExecutor(4) as pool:
        texts = list(pool.map(lambda r: proj_text(r[0]), found))
        wkts = list(pool.map(lambda r: wkt(r[0]), found))
    left_out = 0
    lines = []
    wkt_lines = []
    for r, text, w in zip(found, texts, wkts):
        if not text or "+proj=poly" in text:
            left_out += 1
            continue
        factor = 0 if r[5] == "angle" else r[4]
        bases = sibling.get(str(r[14]), [str(r[13])])
        text, accuracy = datum_shift(text, bases, r[8:12], helmerts)
        better = [g for b in bases for g in grids.get(b, []) if share(r[8:12], g[2:6]) > 0.1
                  and (accuracy == "" or g[1] < float(accuracy))]
        grid = min(better, key=lambda g: (g[1], -share(r[8:12], g[2:6]))) if better else None
        area = [f"{x:.2f}".rstrip("0").rstrip(".") for x in r[8:12]]
        lines.append("\t".join([str(r[0]), r[1], r[2], r[3], repr(factor), r[6], r[7].replace("\t", " "), *area, text,
                                r[12], str(r[13]), accuracy, grid[0] if grid else "", repr(grid[1]) if grid else ""]))
        wkt_lines.append(f"{r[0]}\t{w}")
    version = db.execute("select value from metadata where key = 'EPSG.VERSION'").fetchone()[0]
    write(folder, "crs.tsv.gz", version, lines)
    write(folder, "wkt.tsv.gz", version, wkt_lines)
    print(f"{len(lines)} systems written, {left_out} left out (no PROJ text, or polyconic)")


if __name__ == "__main__":
    main(sys.argv[1])
