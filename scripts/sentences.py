#!/usr/bin/env python3
# SPDX-License-Identifier: GPL-3.0-or-later
"""Brings translations/chalkline_LANG.ts up to date with the sentences in the source, and says which are missing.

    scripts/sentences.py de            rewrites translations/chalkline_de.ts
    scripts/sentences.py de --check    changes nothing; fails when a sentence is missing, or has other places for figures
    scripts/sentences.py de --missing  lists what has no translation yet, one JSON string a line

`en` holds the sentences that sound otherwise for one thing than for several, and nothing else.

A sentence in English is translated once, wherever it stands: the file has a single context. Sentences are what stands in
tr("…"), QT_TRANSLATE_NOOP, translate("context", "…") and in the short names some files give these.
"""
import json
import re
import sys
import xml.etree.ElementTree as ElementTree
from pathlib import Path

ROOT = Path(__file__).resolve().parent.parent
FOLDERS = ("app", "wording", "tools/cli")
NAMES = ("tr", "S", "worded", "words", "of_cards", "translated", "QT_TR_NOOP")
LITERAL = r'"(?:[^"\\]|\\.)*"'
LITERALS = rf"{LITERAL}(?:\s*{LITERAL})*"
CALL = re.compile(rf"\b({'|'.join(NAMES)})\(\s*({LITERALS})")
TRANSLATE = re.compile(rf"\btranslate\(\s*{LITERAL}\s*,\s*({LITERALS})")
ESCAPES = {"n": "\n", "t": "\t", '"': '"', "\\": "\\"}


def text_of(literals):
    joined = "".join(part[1:-1] for part in re.findall(LITERAL, literals))
    return re.sub(r"\\(.)", lambda found: ESCAPES[found.group(1)], joined)


def helpers(source):
    """Names a file gives to translate(): QString worded(const char* text) { return …translate("context", text…"""
    return re.findall(r"(\w+)\(const char\* \w+[^)]*\) \{\s*return QCoreApplication::translate", source)


def sentences():
    found = {}
    for folder in FOLDERS:
        for path in sorted((ROOT / folder).rglob("*.?pp")):
            source = path.read_text(encoding="utf-8")
            calls = CALL
            if names := helpers(source):
                calls = re.compile(rf"\b({'|'.join({*NAMES, *names})})\(\s*({LITERALS})")
            texts = [text_of(call[1]) for call in calls.findall(source)]
            texts += [text_of(literals) for literals in TRANSLATE.findall(source)]
            for text in texts:
                if text.strip():
                    found.setdefault(text, path.relative_to(ROOT).as_posix())
    return found


def placeholders(text):
    return sorted(re.findall(r"%n|%\d|\{\w+\}", text))


def read(path):
    """Translations by sentence: one text, or the forms for one and for several."""
    kept = {}
    if not path.exists():
        return kept
    for message in ElementTree.parse(path).getroot().iter("message"):
        translation = message.find("translation")
        forms = [form.text or "" for form in translation.findall("numerusform")]
        if translation.get("type") != "unfinished":
            kept[message.findtext("source")] = forms or [translation.text or ""]
    return kept


def write(path, language, found, kept):
    root = ElementTree.Element("TS", version="2.1", language=language, sourcelanguage="en")
    context = ElementTree.SubElement(root, "context")
    ElementTree.SubElement(context, "name").text = "chalkline"
    for text, where in sorted(found.items()):
        numerus = "%n" in text
        message = ElementTree.SubElement(context, "message", **({"numerus": "yes"} if numerus else {}))
        ElementTree.SubElement(message, "extracomment").text = where
        ElementTree.SubElement(message, "source").text = text
        forms = kept.get(text)
        translation = ElementTree.SubElement(message, "translation", **({} if forms else {"type": "unfinished"}))
        if numerus:
            for form in forms or ["", ""]:
                ElementTree.SubElement(translation, "numerusform").text = form
        elif forms:
            translation.text = forms[0]
    ElementTree.indent(root)
    text = ElementTree.tostring(root, encoding="unicode")
    path.write_text(f'<?xml version="1.0" encoding="utf-8"?>\n<!DOCTYPE TS>\n{text}\n', encoding="utf-8")


def faults(found, kept):
    for text in sorted(found):
        forms = kept.get(text)
        if not forms or not all(forms):
            yield f"not translated: {text!r} ({found[text]})"
        elif ("%n" in text) != (len(forms) == 2):
            yield f"one and several: {text!r}"
        else:
            for form in forms:
                if placeholders(form) != placeholders(text):
                    yield f"places for figures differ: {text!r}: {form!r}"


def main():
    language, mode = sys.argv[1], sys.argv[2] if len(sys.argv) > 2 else ""
    path = ROOT / "translations" / f"chalkline_{language}.ts"
    found, kept = sentences(), read(path)
    if language == "en":
        found = {text: where for text, where in found.items() if "%n" in text}
    if mode == "--missing":
        for text in sorted(found):
            if text not in kept:
                print(json.dumps(text, ensure_ascii=False))
        return 0
    if mode == "--check":
        wrong = list(faults(found, kept))
        print("\n".join(wrong))
        return 1 if wrong else 0
    write(path, language, found, kept)
    print(f"{len(found)} sentences, {sum(text in kept for text in found)} translated")
    return 0


if __name__ == "__main__":
    sys.exit(main())
