<?php

declare(strict_types=1);

namespace App\Gate\Screen;

use Illuminate\Database\Connectors\PostgresConnector;
use PDO;

/** Stands before the application for one question: the screen's, where it was answered a moment ago and every fact is the same. */
final class Front
{
    /**
     * @param  array<mixed>  $server
     * @param  array<mixed>  $query
     */
    public static function answers(array $server, array $query): bool
    {
        $settings = $server['APP_CONFIG_CACHE'] ?? getenv('APP_CONFIG_CACHE');
        $nonce = $query['nonce'] ?? '';
        if (($server['REQUEST_METHOD'] ?? '') !== 'GET' || ! is_string($settings) || ! is_string($nonce)) {
            return false;
        }
        try {
            // The settings are a file that php-fpm keeps compiled; the connection is the one that the application keeps, too.
            $answer = (new Again(self::database($settings)))->answer(
                self::text($server, 'HTTP_AUTHORIZATION'),
                $nonce,
                self::text($server, 'HTTP_ACCEPT_LANGUAGE'),
            );
        } catch (\Throwable) {
            // Whatever it is, the application meets it too, and says what is to be said.
            return false;
        }
        if ($answer === null) {
            return false;
        }
        header('Content-Type: application/json');
        header('Cache-Control: no-cache, private');
        echo $answer;

        return true;
    }

    private static function database(string $settings): PDO
    {
        /** @var array{database: array{connections: array{pgsql: array<string, mixed>}}} $config */
        $config = require $settings;

        return (new PostgresConnector)->connect($config['database']['connections']['pgsql']);
    }

    /** @param  array<mixed>  $server */
    private static function text(array $server, string $name): string
    {
        return is_string($server[$name] ?? null) ? $server[$name] : '';
    }
}
