"""Reads a table with other people's readers: a CSV file strictly, or a workbook with the kind of each cell."""
import csv
import json
import sys

import openpyxl

path = sys.argv[1]
if path.endswith(".csv"):
    raw = open(path, "rb").read()
    with open(path, encoding="utf-8-sig", newline="") as file:
        rows = list(csv.reader(file, strict=True))
    print(json.dumps({"rows": rows, "mark": raw.startswith(b"\xef\xbb\xbf"), "bare": raw.replace(b"\r\n", b"").count(b"\r")}))
else:
    sheet = openpyxl.load_workbook(path).active
    print(
        json.dumps(
            {
                "name": sheet.title,
                "rows": [["" if cell.value is None else cell.value for cell in row] for row in sheet.iter_rows()],
                "formulas": sum(1 for row in sheet.iter_rows() for cell in row if cell.data_type == "f"),
            }
        )
    )
