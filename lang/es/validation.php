<?php

declare(strict_types=1);

// Las reglas del propio armazón, con las palabras del taller. Están junto al campo, así que no lo nombran otra vez.
return [
    'required' => 'Esto hace falta.',
    'required_if' => 'Aquí esto hace falta.',
    'required_with' => 'Aquí esto hace falta.',
    'required_without' => 'Aquí esto hace falta.',
    'present' => 'Esto hace falta, aunque esté vacío.',
    'prohibits' => 'Esto no va con lo otro.',
    'string' => 'Esto tiene que ser un texto.',
    'integer' => 'Esto tiene que ser un número entero.',
    'numeric' => 'Esto tiene que ser un número.',
    'boolean' => 'Esto es sí o no.',
    'accepted' => 'Esto tiene que estar marcado.',
    'array' => 'Esto tiene que ser una lista.',
    'list' => 'Esto tiene que ser una lista.',
    'file' => 'Esto tiene que ser un archivo.',
    'uuid' => 'Este identificador no lo es. Recargue la página e inténtelo de nuevo.',
    'email' => 'Esto no es una dirección de correo. Escriba una como nombre@escuela.example.',
    'confirmed' => 'Las dos tienen que ser iguales.',
    'same' => 'Las dos tienen que ser iguales.',
    'in' => 'Elija uno de los que se ofrecen.',
    'not_in' => 'Elija otro.',
    'enum' => 'Elija uno de los que se ofrecen.',
    'exists' => 'Aquí ya no hay tal cosa. Elija otra.',
    'unique' => 'Esto ya lo tiene otra persona. Tome otro.',
    'distinct' => 'Esto aparece dos veces.',
    'regex' => 'Esto no está escrito como debe.',
    'not_regex' => 'Esto no está escrito como debe.',
    'timezone' => 'Esto no es una zona horaria. Escriba una como Europe/Dublin.',
    'date' => 'Esto no es un día.',
    'date_format' => 'Esto no es un día.',
    'before_or_equal' => 'Ese día aún no ha llegado.',
    'after_or_equal' => 'Ese día queda demasiado atrás.',
    'max' => [
        'string' => 'Como máximo :max caracteres.', 'numeric' => 'Como máximo :max.', 'array' => 'Como máximo :max.',
        'file' => 'Como máximo :max kB.',
    ],
    'min' => [
        'string' => 'Al menos :min caracteres.', 'numeric' => 'Al menos :min.', 'array' => 'Al menos :min.',
        'file' => 'Al menos :min kB.',
    ],
    'between' => [
        'string' => 'De :min a :max caracteres.', 'numeric' => 'De :min a :max.', 'array' => 'De :min a :max.',
        'file' => 'De :min a :max kB.',
    ],
    'gt' => ['string' => 'Más de :value caracteres.', 'numeric' => 'Más de :value.', 'array' => 'Más de :value.'],
    'gte' => ['string' => 'Al menos :value caracteres.', 'numeric' => 'Al menos :value.', 'array' => 'Al menos :value.'],
    'lt' => ['string' => 'Menos de :value caracteres.', 'numeric' => 'Menos de :value.', 'array' => 'Menos de :value.'],
    'lte' => ['string' => 'Como máximo :value caracteres.', 'numeric' => 'Como máximo :value.', 'array' => 'Como máximo :value.'],
];
