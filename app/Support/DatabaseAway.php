<?php

declare(strict_types=1);

namespace App\Support;

/**
 * Whether a fault of the database says that it is away, or is just coming back: then nobody did anything wrong, and the same will do
 * in a moment. By its class of error where it says one (08 connection, 57P shut down or crashed, 25006 read only while another leads,
 * 53300 too many connections), else by the words that the driver, PostgreSQL and what stands before it were seen to use.
 */
final class DatabaseAway
{
    private const WORDS = [
        'server closed the connection', 'no connection to the server', 'terminating connection due to administrator command',
        'terminating connection due to unexpected postmaster exit', 'terminating connection because of crash of another server process',
        'server conn crashed', 'server login has been failing', 'query_wait_timeout', 'the database system is starting up',
        'the database system is shutting down', 'the database system is in recovery mode', 'could not connect to server',
        'connection refused', 'connection timed out', 'could not receive data from server', 'could not send data to server',
        'SSL connection has been closed unexpectedly', 'cannot execute INSERT in a read-only transaction', 'is shutting down',
    ];

    public static function is(\PDOException $fault): bool
    {
        $said = $fault->getMessage();
        if (preg_match('/SQLSTATE\[(08|57P|25006|53300|58)/', $said) === 1) {
            return true;
        }
        foreach (self::WORDS as $words) {
            if (stripos($said, $words) !== false) {
                return true;
            }
        }

        return false;
    }
}
