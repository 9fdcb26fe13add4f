package answer

// Outlook is how true one direction of a pieced panel is likely to come out.
type Outlook struct {
	// Direction is across or up.
	Direction string `json:"direction"`
	Seams     int    `json:"seams"`
	Cuts      int    `json:"cuts"`
	// Mean and SD of its error, short below 0, and the Tolerance either way.
	Mean      L `json:"mean"`
	SD        L `json:"sd"`
	Tolerance L `json:"tolerance"`
	// Chance in percent that it lies within it, and how much of the spread is from seams,
	// in percent.
	Chance    float64 `json:"chance"`
	FromSeams float64 `json:"from_seams"`
	// From says whose seams it is reckoned by.
	From string `json:"from"`
	// Buys are what would help so that it shows, with the chance then.
	Buys []Buy `json:"buys"`
}

// Buy is something that makes a panel truer, and the chance in percent then.
type Buy struct {
	What   string  `json:"what"`
	Chance float64 `json:"chance"`
}
