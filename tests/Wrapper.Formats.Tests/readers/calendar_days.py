"""Reads an iCalendar file with another program's library."""
import json
import sys

import icalendar

calendar = icalendar.Calendar.from_ical(open(sys.argv[1], "rb").read())
print(
    json.dumps(
        [
            {
                "uid": str(event["UID"]),
                "name": str(event["SUMMARY"]),
                "told": str(event.get("DESCRIPTION", "")),
                "from": event["DTSTART"].dt.isoformat(),
                "to": event["DTEND"].dt.isoformat(),
                "busy": str(event.get("TRANSP", "")),
            }
            for event in calendar.walk("VEVENT")
        ]
    )
)
