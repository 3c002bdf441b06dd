# SPDX-License-Identifier: GPL-3.0-or-later
# bash completion for chalkline-cli: commands, options as the program itself states them, files.
_chalkline_cli() {
    local current=${COMP_WORDS[COMP_CWORD]} command=${COMP_WORDS[1]}
    COMPREPLY=()
    if [ "$COMP_CWORD" -eq 1 ]; then
        mapfile -t COMPREPLY < <(compgen -W "art plan check proof swatch swatch-read ports probe home unlock jog settings selftest frame burn go-on history recipes --help --version" -- "$current")
        return
    fi
    if [ "$command" = recipes ] && [ "$COMP_CWORD" -eq 2 ]; then
        mapfile -t COMPREPLY < <(compgen -W "list show import export" -- "$current")
        return
    fi
    if [[ $current == -* ]]; then
        local options
        options=$(chalkline-cli "$command" --help 2>/dev/null | grep -oE -- '--?[a-z][a-z-]*' | sort -u)
        mapfile -t COMPREPLY < <(compgen -W "$options" -- "$current")
    fi
}
complete -o default -F _chalkline_cli chalkline-cli
