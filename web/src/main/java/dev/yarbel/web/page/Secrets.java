package dev.yarbel.web.page;

import java.security.SecureRandom;
import java.util.stream.Collectors;
import org.apache.commons.codec.digest.DigestUtils;

/** Secrets made by chance, and the hash by which they are known again. They are long: a fast hash keeps them. */
public final class Secrets {

    /** Letters and figures without those that look alike. */
    private static final String SIGNS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

    private static final SecureRandom RANDOM = new SecureRandom();

    private Secrets() {}

    /** A code of so many signs, each one of 31. */
    public static String code(int length) {
        return RANDOM.ints(length, 0, SIGNS.length())
                .mapToObj(at -> String.valueOf(SIGNS.charAt(at)))
                .collect(Collectors.joining());
    }

    /** A code as it is read and typed, in groups of four. */
    public static String grouped(String code) {
        return code.replaceAll("(.{4})(?!$)", "$1-");
    }

    /** So many bytes. */
    public static byte[] bytes(int count) {
        byte[] bytes = new byte[count];
        RANDOM.nextBytes(bytes);
        return bytes;
    }

    /** SHA-256 of a secret, in hexadecimal figures: what is kept of it. */
    public static String hash(String secret) {
        return DigestUtils.sha256Hex(secret);
    }
}
