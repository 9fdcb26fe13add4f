// Package ics writes calendars in the iCalendar format, RFC 5545.
package ics

import (
	"fmt"
	"strings"
	"time"
	"unicode/utf8"
)

// Event is something on a day, at no fixed hour.
type Event struct {
	// UID is the same for the same event in every file.
	UID string
	// Day of the event; only its date counts.
	Day         time.Time
	Summary     string
	Description string
}

// Calendar is a file of events.
type Calendar struct {
	Name   string
	Events []Event
	// Stamp is when the file is written.
	Stamp time.Time
}

// Write is the calendar as a file: lines end in CRLF and are folded at 75 octets.
func (c Calendar) Write() []byte {
	var b strings.Builder
	line := func(name, value string) { fold(&b, name+":"+value) }
	line("BEGIN", "VCALENDAR")
	line("VERSION", "2.0")
	line("PRODID", "-//Umschlag//Schedule//EN")
	line("CALSCALE", "GREGORIAN")
	line("X-WR-CALNAME", escaped(c.Name))
	for _, e := range c.Events {
		line("BEGIN", "VEVENT")
		line("UID", escaped(e.UID))
		line("DTSTAMP", c.Stamp.UTC().Format("20060102T150405Z"))
		fold(&b, "DTSTART;VALUE=DATE:"+e.Day.Format("20060102"))
		fold(&b, "DTEND;VALUE=DATE:"+e.Day.AddDate(0, 0, 1).Format("20060102"))
		line("SUMMARY", escaped(e.Summary))
		if e.Description != "" {
			line("DESCRIPTION", escaped(e.Description))
		}
		line("TRANSP", "TRANSPARENT")
		line("END", "VEVENT")
	}
	line("END", "VCALENDAR")
	return []byte(b.String())
}

// escaped is a text as 3.3.11 has it.
func escaped(text string) string {
	return strings.NewReplacer("\\", "\\\\", ";", "\\;", ",", "\\,", "\r\n", "\\n", "\n", "\\n").Replace(text)
}

// fold writes a line in parts of at most 75 octets, 3.1, without splitting a letter.
func fold(b *strings.Builder, text string) {
	room := 75
	for len(text) > room {
		cut := room
		for cut > 0 && !utf8.RuneStart(text[cut]) {
			cut--
		}
		fmt.Fprintf(b, "%s\r\n ", text[:cut])
		text, room = text[cut:], 74
	}
	fmt.Fprintf(b, "%s\r\n", text)
}
