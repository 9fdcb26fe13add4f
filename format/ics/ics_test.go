package ics_test

import (
	"strings"
	"testing"
	"time"
	"unicode/utf8"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/format/ics"
	_ "umschlag/seeded"
)

func TestADayInTheCalendar(t *testing.T) {
	c := ics.Calendar{Name: "Hood, turntable", Stamp: time.Date(2026, 11, 27, 20, 0, 0, 0, time.FixedZone("", 3600)),
		Events: []ics.Event{{UID: "hood-1", Day: time.Date(2026, 12, 31, 0, 0, 0, 0, time.UTC),
			Summary: "Quilt; then trim", Description: "Walking foot\nneedle 90/14"}}}
	assert.Equal(t, strings.Join([]string{
		"BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//Umschlag//Schedule//EN", "CALSCALE:GREGORIAN",
		"X-WR-CALNAME:Hood\\, turntable",
		"BEGIN:VEVENT", "UID:hood-1", "DTSTAMP:20261127T190000Z", "DTSTART;VALUE=DATE:20261231",
		"DTEND;VALUE=DATE:20270101",
		"SUMMARY:Quilt\\; then trim", "DESCRIPTION:Walking foot\\nneedle 90/14", "TRANSP:TRANSPARENT", "END:VEVENT",
		"END:VCALENDAR", "",
	}, "\r\n"), string(c.Write()))
}

func TestLongLinesAreFoldedBetweenLetters(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		text := rapid.StringOfN(rapid.RuneFrom([]rune("ab é½″🧵")), 0, 300, -1).Draw(t, "text")
		out := string(ics.Calendar{Name: text}.Write())
		for _, line := range strings.Split(strings.TrimSuffix(out, "\r\n"), "\r\n") {
			assert.LessOrEqual(t, len(line), 75)
			assert.True(t, utf8.ValidString(line))
		}
		assert.Contains(t, strings.ReplaceAll(out, "\r\n ", ""), "X-WR-CALNAME:"+text+"\r\n")
	})
}

// Worked by hand, by RFC 5545 section 3.1: 75 octets, and 75 with the blank a further line begins with; a letter stays
// whole.
func TestWhereLinesAreFolded(t *testing.T) {
	for name, want := range map[string]string{
		strings.Repeat("a", 62):        "X-WR-CALNAME:" + strings.Repeat("a", 62),
		strings.Repeat("a", 63):        "X-WR-CALNAME:" + strings.Repeat("a", 62) + "\r\n a",
		strings.Repeat("a", 61) + "é":  "X-WR-CALNAME:" + strings.Repeat("a", 61) + "\r\n é",
		strings.Repeat("a", 60) + "éb": "X-WR-CALNAME:" + strings.Repeat("a", 60) + "é\r\n b",
		strings.Repeat("a", 62) + strings.Repeat("b", 75): "X-WR-CALNAME:" + strings.Repeat("a", 62) + "\r\n " +
			strings.Repeat("b", 74) + "\r\n b",
	} {
		assert.Contains(t, string(ics.Calendar{Name: name}.Write()), "\r\n"+want+"\r\n", name)
	}
}
