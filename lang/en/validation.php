<?php

declare(strict_types=1);

// The framework's own rules, in the shop's words. They stand beside the field, so the field is not named again.
return [
    'required' => 'This is needed.',
    'required_if' => 'This is needed here.',
    'required_with' => 'This is needed here.',
    'required_without' => 'This is needed here.',
    'present' => 'This is needed, even if it is empty.',
    'prohibits' => 'This does not go with the other.',
    'string' => 'This has to be a text.',
    'integer' => 'This has to be a whole number.',
    'numeric' => 'This has to be a number.',
    'boolean' => 'This is either yes or no.',
    'accepted' => 'This has to be ticked.',
    'array' => 'This has to be a list.',
    'list' => 'This has to be a list.',
    'file' => 'This has to be a file.',
    'uuid' => 'This id is none. Reload the page and try again.',
    'email' => 'This is no mail address. Write one like name@school.example.',
    'confirmed' => 'Both have to be the same.',
    'same' => 'Both have to be the same.',
    'in' => 'Choose one of those that are offered.',
    'not_in' => 'Choose another.',
    'enum' => 'Choose one of those that are offered.',
    'exists' => 'There is no such thing here any more. Choose another.',
    'unique' => 'Somebody else has this already. Take another.',
    'distinct' => 'This stands here twice.',
    'regex' => 'This is not written as it has to be.',
    'not_regex' => 'This is not written as it has to be.',
    'timezone' => 'This is no time zone. Write one like Europe/Dublin.',
    'date' => 'This is no day.',
    'date_format' => 'This is no day.',
    'before_or_equal' => 'That day is still to come.',
    'after_or_equal' => 'That day is too long ago.',
    'max' => [
        'string' => 'At most :max characters.', 'numeric' => 'At most :max.', 'array' => 'At most :max of them.',
        'file' => 'At most :max kB.',
    ],
    'min' => [
        'string' => 'At least :min characters.', 'numeric' => 'At least :min.', 'array' => 'At least :min of them.',
        'file' => 'At least :min kB.',
    ],
    'between' => [
        'string' => 'From :min to :max characters.', 'numeric' => 'From :min to :max.', 'array' => 'From :min to :max of them.',
        'file' => 'From :min to :max kB.',
    ],
    'gt' => ['string' => 'More than :value characters.', 'numeric' => 'More than :value.', 'array' => 'More than :value of them.'],
    'gte' => ['string' => 'At least :value characters.', 'numeric' => 'At least :value.', 'array' => 'At least :value of them.'],
    'lt' => ['string' => 'Fewer than :value characters.', 'numeric' => 'Less than :value.', 'array' => 'Fewer than :value of them.'],
    'lte' => ['string' => 'At most :value characters.', 'numeric' => 'At most :value.', 'array' => 'At most :value of them.'],
];
